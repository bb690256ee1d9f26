export type { TraitEditorProps } from './editor-props'
export { CornerEditor, PaddingEditor } from './shape-editors'
export { TraitEditor } from './trait-editors'
export { CaseEditor } from './type-editors'
