export { FillChooser } from './fill-chooser'
