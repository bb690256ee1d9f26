import { later } from '../kit'

export const SideView = later(async () => (await import('./side-view')).SideView)
export const ThingsView = later(async () => (await import('./things-view')).ThingsView)
export const TrialPanel = later(async () => (await import('./trial-panel')).TrialPanel)
