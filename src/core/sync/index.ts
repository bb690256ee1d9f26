export { createSync, type SiteSync } from './sync'
export type { Clash } from './clash-watch'
export type { LostEdit, SaveState, SyncState } from './state'
export type { PendingEdit, SiteTransport, Surroundings } from './transport'
