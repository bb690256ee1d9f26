export * from './ids'
export {
  colorDecision,
  colorText,
  isBound,
  decisionsIn,
  isColor,
  isLoose,
  paint,
  states,
  type BoundDecision,
  type ColorDecision,
  type FacetColors,
  type GradientPaint,
  type LooseDecision,
  type Paint,
  type State,
} from './paint'
export { type SiteElement } from './element'
export {
  mostExtensions,
  mostSlots,
  paletteSchema,
  slotName,
  slotSchema,
  scaleSteps,
  shadeScaleOf,
  shadeScaleSchema,
  slotsInOrder,
  usualShadeScale,
  type Palette,
  type ShadeScale,
  type Slot,
} from './palette'
export {
  editions,
  mostThemes,
  themeSchema,
  freeThemeName,
  themesInOrder,
  type Edition,
  type Theme,
  type ThemeRoles,
  type Themes,
} from './theme'
export {
  childrenOf,
  sectionOf,
  sectionsInOrder,
  walkSection,
  type Body,
  type Section,
} from './section'
export {
  frameSchema,
  mostCustomCss,
  schemaVersion,
  type ElementStyle,
  type Frame,
  type LayoutSettings,
  type TypeSettings,
} from './frame'
export { pageSchema, type Page } from './page'
export {
  candidateSchema,
  mostCandidates,
  mostStudies,
  studySchema,
  type Candidate,
  type Study,
} from './study'
export { bodyOf, canonicalJson, type Asset, type Assets, type SiteDocs } from './docs'
export { DocumentUnreadable, isUnreadable, readFrame, readPage } from './upgrade'
export { own } from './own'
export { nameText, plainText, textFault, typedName, type TextFault } from './text'
