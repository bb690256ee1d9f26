export { emptySite } from './empty'
