export { decisionColor, slotColor, slotShades, slotSteps, type Slots } from './decision'
export { contrastOn, seenOn, type Backdrop } from './backdrop'
export { groundsUnder, readingOf, varyingUnder, type Reading } from './grounds'
export type { Ground, GroundOwner, Sight, Standing } from './layers'
export { colorAlong, paintColors, type Place, type SampledPicture } from './paint-colors'
export {
  failingRoles,
  type Failing,
  seenGrounds,
  seenRole,
  themeReading,
  type ThemeReading,
} from './theme-reading'
export { roleMeetings, slotMeetings, type Meeting } from './meetings'
export { liesOver, parentsOf, spotsOnPage, type Spot } from './spot'
export {
  baseOfThing,
  facetsOf,
  featuresOf,
  propertiesOfThing,
  styleChain,
  type Decider,
} from './chain'
export { computedTrait, computedUnset, type Computed, type Computing } from './computed'
export { traceFeature, type FeatureTrace } from './feature-trace'
export {
  coloredIn,
  facetRole,
  isShown,
  shownFacets,
  traceFacet,
  type ColoredThing,
  type Trace,
} from './trace'
export { veilOf } from './veil'
export { samplePicture, type Pixels } from './sampled-picture'
