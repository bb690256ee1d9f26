export { TraitEditor } from './trait-editors'
export type { TraitEditorProps } from './editor-props'
