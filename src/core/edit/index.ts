export type { EditProblem } from './edit'
export { decisionWords } from './theme-edits'
export {
  applyEdit,
  describeEdit,
  changedDocs,
  inverseOf,
  pagesOfChanges,
  type EditResult,
} from './apply'
export { checkEdit, editSchema, kindOfEdit, type CheckedEdit, type Edit } from './edits'
export { readDecision, writeDecision } from './decision-text'
export { contentAt, elementWords, withContentAt, type ContentPath } from './content-edits'
export { mostAtOnce, type Seat } from './element-edits'
export {
  lookHolderSchema,
  mostSettings,
  setLook,
  withLook,
  type LookSetting,
  type LookTarget,
} from './look-edits'
export { givenLooks, lookGroups, looksOfElement, type LookGroup } from './given-looks'
export { settingWords } from './setting-edits'
export { descendsFrom } from './style-edits'
export { paintWords, propertyWords, valueWords } from './value-words'
export { isClash, putsOf, valueAt, type Put } from './clash'
