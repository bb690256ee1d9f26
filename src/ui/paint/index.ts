export { FillChooser } from './fill-chooser'
export { GradientOnPage } from './gradient-on-page'
export type { FilledPlace } from './held-gradient'
