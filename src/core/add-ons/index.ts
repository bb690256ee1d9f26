export {
  settingProperty,
  type AddOnColor,
  type AddOnKind,
  type AddOnPage,
  type AddOnSpot,
  type AddOnText,
  type Write,
} from './add-on'
export { addOnKindIds, addOnKindOf, isColorSetting, type AddOnKindId } from './kinds'
