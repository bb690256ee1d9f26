export { LooksView } from './looks-view'
export { TypefaceOptions } from './setting-editors'
