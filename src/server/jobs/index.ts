export { beginJob, cancelJob, jobSoon, jobState, packedSite, stepOrJob } from './jobs'
export { closeQueue } from './queue'
export { workOn } from './work'
export { startWorker } from './worker'
