export * from './payloads'
export {
  done,
  refused,
  type ArchiveFault,
  type PictureFault,
  type Problem,
  type Result,
} from './problem'
export {
  beginRequest,
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
  shelfDeed,
  stepRequest,
  wideRequest,
  type BeginRequest,
  type ShelfDeed,
} from './requests'
