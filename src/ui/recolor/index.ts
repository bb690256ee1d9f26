export { HoldingCount } from './holding-count'
export { HoldingList, WORTH_IT, type Going } from './holding-list'
