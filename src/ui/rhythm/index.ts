export { blendingOf } from './blending'
export { RhythmView } from './rhythm-view'
export { ThemeChoices } from './theme-choices'
