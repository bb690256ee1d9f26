export { ColorChooser, shadeOf, shadeSteps } from './color-chooser'
export { readColorText } from './read-color'
export { SlotEditor } from './slot-editor'
