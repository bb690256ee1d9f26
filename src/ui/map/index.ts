export { BandButton } from './band-button'
export { SiteMap } from './site-map'
