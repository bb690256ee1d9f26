export { exchangeRequest, type ExchangeRequest } from './exchange'
export { questionOf } from './sweep'
export { rhythmsFor, type Rhythms } from './give-rhythm'
export { kindOfWide, wideIntent, wideKinds, type WideIntent } from './wides'
export type {
  Everywhere,
  Expected,
  Known,
  PageBands,
  Planned,
  Reach,
  Subject,
  UseQuestion,
  WideKind,
} from './wide'
export { planInMemory } from './in-memory'
export { hardToRead, readableInstead, sweptDocs, withLooks, wouldBeHardToRead } from './outlook'
