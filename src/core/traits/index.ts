export {
  buttonForms,
  buttonIcons,
  linesOf,
  underlineOf,
  type ButtonForm,
  type ButtonIcon,
} from './button-form'
export { traitGroups, traitIds, traits, type Trait, type TraitGroup, type TraitId } from './traits'
export {
  easings,
  faces,
  familyName,
  hyphenations,
  leastStep,
  letterCases,
  lineStyles,
  mostStep,
  pill,
  sides,
  plainValues,
  underline,
  underlines,
  type FaceId,
  type PlainValues,
} from './values'
export {
  effectiveSetting,
  faceSetting,
  isTaken,
  settingGroups,
  settingIds,
  settings,
  settingsSchema,
  traitOfSetting,
  type SettingGroup,
  type SettingId,
  type SettingInfo,
  type Settings,
} from './settings'
export {
  fluidFrom,
  fluidSize,
  fluidTo,
  ownSize,
  sizeAt,
  sizeCss,
  stepSize,
  written,
  type FluidSize,
} from './scale'
export { states, statesBehind, stateWords, type State } from './states'
