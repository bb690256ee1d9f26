export { decisionColor, paintColors, paintDecisions, slotColor } from './decision'
export { groundsUnder, readingOf, type Reading } from './grounds'
export { parentsOf, spotsOnPage, type Spot } from './spot'
export { facetRole, facetsOf, styleChain, traceFacet, type Decider, type Trace } from './trace'
