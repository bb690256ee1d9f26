export * from './payloads'
export { done, refused, type Problem, type Result } from './problem'
export {
  checkpointRequest,
  copyPaletteRequest,
  dryRunRequest,
  mostSent,
  nothingRequest,
  presentRequest,
  rhythmRequest,
  revokeRequest,
  saveRequest,
  shareRequest,
  stepRequest,
  wideRequest,
} from './requests'
