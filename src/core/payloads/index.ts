export * from './payloads'
export { done, refused, type Problem, type Result } from './problem'
export {
  applySweepRequest,
  checkpointRequest,
  dryRunRequest,
  returnRequest,
  saveRequest,
  stepRequest,
} from './requests'
