export { localOwner, type Actor } from './access'
export { changesSince, listCheckpoints, readHistory, saveEdits, takeCheckpoint } from './edits'
export {
  brandSheetPdf,
  copyPalette,
  listShares,
  readShare,
  revokeShare,
  sharePalette,
  sitesToCarryTo,
} from './palettes'
export { checkSiteApart } from './checks'
export { isReachable } from './database/connection'
export { beginJob, cancelJob, jobSoon, packedSite, stepOrJob } from './jobs'
export { closeStreams, liveStream, tellPresent } from './live'
export { publicationOf, publishedFile } from './publishing'
export {
  cleanedSnippet,
  beginSite,
  designPicture,
  carryOutDeed,
  homePicture,
  linksTo,
  listPages,
  listPictures,
  pageOfPicture,
  picturesByIds,
  takePicture,
  listSites,
  loadPage,
  loadSite,
  openSite,
  pageAt,
  pageBeside,
  partPlaces,
  brokenLinks,
  silentPictures,
  readPicture,
  siteCounts,
} from './sites'
export { changeRecipe, keepRecipe, listRecipes } from './recipes'
export { picturesHolding, recoloredPicture } from './recoloring'
export { readFontFile, takeFont } from './fonts'
export { changeLivery, keepLivery, listLiveries, liveryFrom } from './liveries'
export { beginFromArchiveApart, mostArchive, writeArchive } from './archive'
export { StorageFailed } from './storage'
export {
  dryExchange,
  standingTexts,
  unreadPlaces,
  dryRun,
  inventory,
  leftovers,
  namedSections,
  planCells,
  planHits,
  proposedRhythms,
  slotUses,
  themeUses,
} from './uses'
