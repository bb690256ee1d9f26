export { HoldingList, type Going } from './holding-list'
