export { roleProperty, slotProperty } from './css-names'
export { decisionCss, paintCss } from './paint-css'
export { paletteCss, shadesInUse, slotProperties } from './palette-css'
export { fontsOf, siteFonts } from './fonts'
export {
  pagePolicy,
  renderDocument,
  renderPageCss,
  renderSections,
  renderSiteCss,
  type SiteCss,
  type Whereabouts,
  type WrittenSection,
} from './render'
