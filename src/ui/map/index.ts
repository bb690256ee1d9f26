export { BandButton } from './band-button'
export { bandsOnPage, withThemes, type Band } from './bands'
export { SiteMap } from './site-map'
