export { lockedSiteFor, siteFor } from './access'
export { deedsOf, localOwner, roleIn, type Actor, type Deed } from './actor'
export { inTurn, sharedReading } from './turns'
