export { leavesOf } from './leaves'
export { spotSorts, type SpotSort } from './spot'
export { spotsIn } from './spots'
export {
  exchangeAsked,
  exchangeOfs,
  kindOfExchange,
  type ExchangeAsked,
  type ExchangeOf,
} from './kinds'
export { formOf, type AddressForm } from './kinds/address'
export {
  changesOfExchange,
  hitsIn,
  tickedHits,
  type ExchangeHit,
  type HitsOfRecord,
  type Unfit,
  type UnfitHit,
} from './hits'
export { wordsOfText } from './words-of-text'
export type { ExchangeFault, KnownOfSite } from './kind'
