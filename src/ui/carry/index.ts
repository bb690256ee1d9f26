export { CarryDialog } from './carry-dialog'
export { SharedPaletteView } from './shared-palette-view'
