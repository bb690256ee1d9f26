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
export { isClash, putsOf, valueAt, type Put } from './clash'
