export {
  decisionColor,
  paintColors,
  slotColor,
  slotShades,
  slotSteps,
  type Slots,
} from './decision'
export { groundsUnder, readingOf, type Reading } from './grounds'
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
  coloredIn,
  facetRole,
  facetsOf,
  isShown,
  shownFacets,
  styleChain,
  traceFacet,
  type ColoredThing,
  type Decider,
  type Trace,
} from './trace'
export { veilOf } from './veil'
