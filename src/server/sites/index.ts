export { createSite, type NewSite } from './create'
export { listSites, loadPage, loadSite } from './load'
export { listPages } from './pages'
export { listPictures, picturesShownIn, readPicture, type PictureFile } from './pictures'
