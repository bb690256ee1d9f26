export { SiteMap } from './site-map'
