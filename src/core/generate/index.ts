export {
  afterDark,
  darkEdition,
  generatedAfterDark,
  planDarkEdition,
  withDark,
} from './dark-edition'
export { disagreements, type Disagreement } from './disagreements'
export { fixesFor, readableChoices, type CellFix, type ReadableChoice } from './fixes'
export {
  afterChanges,
  completeTheme,
  explainRole,
  generatedRoles,
  generateThemeOn,
  generateThemes,
  paletteColors,
  planRegeneration,
  type CellChange,
  type Regeneration,
} from './generated'
export { remedyFor, type Remedy } from './remedy'
export { proposeRhythms, themesByKind, type RhythmPage } from './rhythm'
