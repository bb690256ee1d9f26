export { newSeed, trialOfSeed } from './trial'
export { TrialPanel } from './trial-panel'
export { useTrialPreview } from './use-trial-preview'
export { WaysIn } from './ways-in'
