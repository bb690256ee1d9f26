export { cellsOfForm } from './button-form'
export { afterDark, darkEdition, withDark } from './dark-edition'
export { lackingThemes, type LackingTheme } from './common-decisions'
export { disagreements, type Disagreement } from './disagreements'
export { fixesFor, readableChoices, type CellFix, type ReadableChoice } from './fixes'
export {
  completeTheme,
  explainRole,
  generateThemeOn,
  generateThemes,
  paletteColors,
  themesNamedAfter,
} from './generated'
export {
  afterChanges,
  cellsAnew,
  cellsOfDesign,
  lightEdition,
  planDarkEdition,
  planRegeneration,
  type AnewCell,
  type CellChange,
} from './regeneration'
export { remedyFor, type Remedy } from './remedy'
export type { Tinted } from './tint'
export { proposeRhythms, proposeTheme, themesByKind, type RhythmPage } from './rhythm'
export { failingInSite } from './failing'
export {
  cellsAlong,
  followers,
  followingOn,
  hasFollowers,
  type FollowingSetting,
} from './followers'
export { newsOffer, type NewsOffer } from './news'
export { flippedTheme } from './flip'
