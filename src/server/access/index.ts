export { lockedSiteFor, shelvedSiteFor, siteFor } from './access'
export { deedsOf, localOwner, mayBegin, roleIn, type Actor, type Deed } from './actor'
export { inTurn, sharedReading } from './turns'
