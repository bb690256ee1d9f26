export { LooksView } from './looks-view'
