export { assignAll, assignColors, type AssignedSlot } from './assign'
export { assignNamed, type NamedSlot } from './assign-named'
export { castColors, type Cast } from './cast'
export { extractColors, type Extracted, type Pixels } from './extract'
export { paletteFaults, type PaletteFault } from './faults'
export { harmonies, harmonyPalette, type HarmonyId } from './harmony'
export { colorNamer, nameJudge, type NameList } from './names'
export { leastCost } from './least-cost'
export { isInOrder, orderByLuminance, type HeldColor } from './order'
export { isExportedList, readList } from './read-list'
export {
  findReadyMade,
  hueFamilies,
  hueFamilyOf,
  moods,
  readyMade,
  type HueFamily,
  type Mood,
  type ReadyMade,
} from './ready-made'
export { shiftColor, unshifted, type PaletteShift } from './shift'
export {
  isTone,
  lackingTones,
  statuses,
  statusHues,
  statusTones,
  type Status,
} from './status-tones'
export { seededRandom, variations } from './variations'
export { fanOf, greyed, stepDecision, stepShade } from './shades'
export {
  gradientRecipes,
  type GradientRecipe,
  type RecipeColor,
  type RecipeGradient,
} from './gradient-recipes'
