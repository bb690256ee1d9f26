export type { Field } from './field'
export { iconNames, icons } from './icons'
export {
  cssProperty,
  kindClass,
  windowWidths,
  type ElementKind,
  type Facet,
  type Sample,
  type Surroundings,
  type WindowWidth,
} from './kind'
export {
  baseOf,
  baseSelector,
  baseStyle,
  baseStyles,
  basesOf,
  isFeature,
  labelOf,
  propertiesOf,
  sourceOf,
  styledKinds,
  type NamedBase,
  type Property,
  type StyledKind,
} from './bases'
export { kindIds, kindOf, kinds, type ContentOf, type KindId } from './kinds'
export { positionOf } from './image'
export type { ShownPicture } from './shown-picture'
export { escapeHtml, safeHref, tag } from './markup'
export { groundsOfRole, pairsOf, rolePairs, type RolePair } from './pairs'
export {
  isMarker,
  longestHref,
  mostRuns,
  mostWords,
  plainText,
  runSchema,
  wordClass,
  wordColors,
  wordFacets,
  type Run,
  type Runs,
  type WordColor,
} from './runs'
export { sectionCss, sectionFacets, sectionFeatures, sectionLayouts } from './section'
export type { BaseStyle, ByBase, CommonStyleId, Feature, Source } from './feature'
export { mostSnippet } from './embed'
