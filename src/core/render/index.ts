export { addOnPages, addOnsCss, type WrittenAddOnPage } from './add-ons'
export { typefaceCss } from './base-css'
export { roleProperty, slotProperty } from './css-names'
export { decisionCss, paintCss } from './paint-css'
export { paletteCss, shadesInUse, shadesOnPages, slotProperties } from './palette-css'
export { pageFace, pageFiles, renderSite, sharedFiles, type PagePaths } from './published'
export {
  fontFiles,
  fontsOf,
  narrowerThan,
  ownFontFiles,
  siteFonts,
  stackOf,
  subsets,
  typefacesOf,
  type OwnPart,
  type SiteFont,
} from './fonts'
export {
  framedPolicy,
  pageCss,
  layerSources,
  pageCssLayer,
  pageCssLayers,
  sectionSources,
  type PageCssLayer,
  pagePolicy,
  renderAlone,
  renderDocument,
  renderPageCss,
  inParts,
  renderSections,
  renderSiteCss,
  type SiteCss,
  type WrittenSection,
} from './render'
export type { Whereabouts } from './whereabouts'
export { iconShape } from './setting-css'
export {
  inEditor,
  ownFontAddress,
  pictureAddress,
  shownPicture,
  type PlannedPictures,
} from './in-editor'
export {
  readSlotColors,
  slotColorsOf,
  slotsInVector,
  withSlotColors,
  writeSlotColors,
  type SlotColors,
} from './bound-picture'
