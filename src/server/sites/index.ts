export { designPicture } from './design'
export { createSite, type NewSite } from './create'
export { siteCounts } from './counts'
export { beginSite } from './begin'
export { carryOutDeed } from './shelf'
export { homePicture, listSites, loadPage, loadSite, openSite } from './load'
export { brokenLinks, silentPictures } from './links'
export { partPlaces } from './parts'
export { linksTo, listPages, pageAt, pageBeside } from './pages'
export { takePicture } from './take-picture'
export {
  listPictures,
  pageOfPicture,
  picturesByIds,
  picturesShownIn,
  readPicture,
  type PictureFile,
} from './pictures'
export { cleanedSnippet } from './snippet'
