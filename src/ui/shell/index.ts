export { EditorShell } from './editor-shell'
export { PaintView } from './paint-view'
