import * as z from 'zod'
import type { ExchangeKind, ExchangeRequest } from '../kind'
import { address, addressRequest } from './address'
import { font, fontRequest } from './font'
import { link, linkRequest } from './link'
import { picture, pictureRequest } from './picture'
import { words, wordsRequest } from './words'

/** What can be exchanged wherever it stands. A new sort is a file beside this one, a line here and one below. */
export const exchangeKinds = { words, font, picture, link, address } as const
export type ExchangeOf = keyof typeof exchangeKinds
export const exchangeOfs = Object.keys(exchangeKinds) as ExchangeOf[]

/** What is exchanged, by its sort. */
export const exchangeAsked = z.discriminatedUnion('of', [
  wordsRequest,
  fontRequest,
  pictureRequest,
  linkRequest,
  addressRequest,
])
export type ExchangeAsked = z.infer<typeof exchangeAsked>

type RequestOf<Kind> = Kind extends ExchangeKind<infer Request> ? Request : never
/** Every request has a kind, and every kind a request. */
type Whole =
  RequestOf<(typeof exchangeKinds)[ExchangeOf]> extends ExchangeAsked
    ? ExchangeAsked['of'] extends ExchangeOf
      ? true
      : never
    : never
const whole: Whole = true
void whole

export const kindOfExchange = ({ of }: ExchangeAsked): ExchangeKind<ExchangeRequest> =>
  exchangeKinds[of] as unknown as ExchangeKind<ExchangeRequest>
