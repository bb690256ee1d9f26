export { Shelf } from './shelf'
