export {
  isStretch,
  reversed,
  type Change,
  type ChangePath,
  type Json,
  type MemberChange,
  type StretchChange,
} from './change'
export { applyChanges, ChangeUnfit } from './apply'
export { changesBetween } from './between'
export { isSame } from './same'
export { takenBack, type TakenBack } from './take-back'
