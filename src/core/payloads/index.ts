export * from './payloads'
export { done, refused, type Problem, type Result } from './problem'
export {
  applySweepRequest,
  checkpointRequest,
  dryRunRequest,
  removeSlotRequest,
  returnRequest,
  saveRequest,
  stepRequest,
} from './requests'
