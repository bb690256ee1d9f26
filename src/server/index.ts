export { localOwner, type Actor } from './access'
export {
  carryOutWide,
  changesSince,
  listCheckpoints,
  readHistory,
  redo,
  saveEdits,
  takeCheckpoint,
  undo,
} from './edits'
export {
  brandSheetPdf,
  copyPalette,
  listShares,
  readShare,
  revokeShare,
  sharePalette,
  sitesToCarryTo,
} from './palettes'
export { isReachable } from './database/connection'
export { publicationOf, publish, publishedFile, publishedZip } from './publishing'
export { listPages, listPictures, listSites, loadPage, loadSite, readPicture } from './sites'
export { StorageFailed } from './storage'
export { dryRun, inventory, planHits, slotUses, themeUses } from './uses'
