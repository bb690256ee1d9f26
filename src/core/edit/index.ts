export type { EditProblem } from './edit'
export { decisionWords } from './theme-edits'
export {
  applyEdit,
  describeEdit,
  pagesOfPatches,
  patchDocs,
  patchedDocs,
  type DocPatch,
  type EditResult,
} from './apply'
export {
  checkEdit,
  editSchema,
  kindOfEdit,
  type AnyEdit,
  type CheckedEdit,
  type Edit,
  type ServerEdit,
} from './edits'
export { type SweepChange } from './sweep-edit'
export { readDecision, writeDecision } from './decision-text'
export { isClash, putsOf, sameValue, valueAt, type Put } from './clash'
