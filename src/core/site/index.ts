export * from './ids'
export {
  colorDecision,
  looseDecision,
  colorText,
  gradientKinds,
  mostStops,
  pictureFits,
  isBound,
  isColor,
  paintKind,
  type PaintKind,
  isLoose,
  paint,
  type BoundDecision,
  type ColorDecision,
  type GradientPaint,
  type PicturePaint,
  type LooseDecision,
  type Paint,
} from './paint'
export {
  decisionsIn,
  decisionsInside,
  looksOf,
  looksOver,
  mostShadows,
  paintIn,
  paintKindsOf,
  valueSchema,
  type DecisionInside,
  type Looks,
  type LookValue,
  type Shadow,
  type TraitValue,
  type TraitValues,
} from './looks'
export { states, type State } from '../traits'
export { elementSchema, mostChildren, type SiteElement } from './element'
export {
  mostExtensions,
  heldBefore,
  mostSlots,
  mostSteps,
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
  decidedIn,
  freeThemeName,
  themesInOrder,
  type Edition,
  type Theme,
  type ThemeRoles,
  type Themes,
} from './theme'
export {
  childrenOf,
  mostSections,
  seatOf,
  sectionSchema,
  sectionOf,
  sectionsInOrder,
  shownSections,
  walkSection,
  type Body,
  type Section,
} from './section'
export {
  addOnColors,
  addOnSchema,
  addOnText,
  initialSettings,
  isColorDecision,
  longestSetting,
  mostAddOns,
  type AddOn,
  type AddOnSetting,
} from './add-on'
export {
  elementStyleSchema,
  frameSchema,
  frameVersion,
  mostCustomCss,
  mostStyles,
  type ElementStyle,
  type Frame,
} from './frame'
export { arranged, partsOf, standingOn, type Placed, type Standing } from './parts'
export {
  byOrder,
  homePath,
  orderBetween,
  orderKey,
  pagePath,
  pageSchema,
  pageVersion,
  type Page,
} from './page'
export {
  fileHash,
  fileName,
  narrowerName,
  widthsOf,
  type Focus,
  pictureSchema,
  pictureVersion,
  type Picture,
  type Pictures,
} from './picture'
export { picturesIn, type PicturesIn } from './pictures-in'
export { fontSchema, fontVersion, type Font, type Fonts } from './font'
export {
  candidateSchema,
  mostCandidates,
  mostStudies,
  studySchema,
  type Candidate,
  type Study,
} from './study'
export { bodyOf, canonicalJson, isCanonical, pagesInOrder, siteDocs, type SiteDocs } from './docs'
export {
  allRecordKinds,
  applyRecordChanges,
  changesOfRecord,
  frameRef,
  isUnreadable,
  changedPart,
  isWholeRecord,
  wholeFault,
  readChanges,
  readRecord,
  recordAt,
  recordChanges,
  recordKey,
  recordKinds,
  recordsOf,
  RecordUnreadable,
  withRecord,
  type RecordChange,
  type RecordKind,
  type RecordRef,
  type RecordTypes,
  type SiteRecord,
} from './record'
export { own } from './own'
export { nameText, plainText, textFault, typedName, type TextFault } from './text'
