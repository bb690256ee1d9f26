export { emptySite } from './empty'
export { emptyPage, orderAfter, pageLike, type PageSeat } from './new-page'
