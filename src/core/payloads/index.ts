export * from './payloads'
export { done, refused, type Problem, type Result } from './problem'
export {
  applySweepRequest,
  checkpointRequest,
  copyPaletteRequest,
  dryRunRequest,
  mostSent,
  removeSlotRequest,
  removeThemeRequest,
  returnRequest,
  revokeRequest,
  saveRequest,
  shareRequest,
  stepRequest,
} from './requests'
