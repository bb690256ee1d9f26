import * as z from 'zod'
import {
  changesOfExchange,
  exchangeAsked,
  hitsIn,
  kindOfExchange,
  tickedHits,
  wordsOfText,
  type ExchangeAsked,
  type KnownOfSite,
} from '../exchange'
import { ticksSchema } from '../sweep'
import { defineWide, expected, many, nothing, ready, refuse } from './wide'

/** What is exchanged, and what the person ticked of it; all where absent. */
export const exchangeRequest = z.strictObject({
  asked: exchangeAsked,
  ticks: ticksSchema.optional(),
})
export type ExchangeRequest = z.infer<typeof exchangeRequest>

const exchangeIntent = z.strictObject({
  type: z.literal('exchange'),
  request: exchangeRequest,
  /** What the dry run came to, as it was ticked. */
  expects: expected.optional(),
})

const LONGEST = 60
const cut = (text: string) => (text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text)

/** What an exchange is told by: pictures by their file names, links to pages by their titles. */
function wordsOf({ of, from, to }: ExchangeAsked, known: KnownOfSite): string {
  const name = (text: string) => cut(wordsOfText(of, text, known))
  return `“${name(from)}” exchanged for “${name(to)}”`
}

const unknown: KnownOfSite = { pictures: {}, pages: {} }

/** Exchanges words, typefaces, pictures, links or addresses wherever they stand: exactly what the dry run lists. */
export const exchange = defineWide({
  type: 'exchange',
  schema: exchangeIntent,
  asks: ['names'],
  checkpoint: true,
  expects: ({ expects }) => expects,
  prepare({ request }: z.infer<typeof exchangeIntent>, { names: site = unknown }) {
    const fault = kindOfExchange(request.asked).faultOf(request.asked, site)
    return fault ? refuse(fault) : ready({ ...request, site })
  },
  reach: ({ asked, site }) => ({
    written: { pattern: kindOfExchange(asked).pattern(asked, site) },
  }),
  plan({ asked, ticks, site }, { kind, id, read }) {
    const record = read()
    if (!record) return nothing
    const hits = tickedHits(hitsIn({ kind, id }, record, asked, site).hits, ticks)
    return hits.length ? { changes: changesOfExchange(hits), count: hits.length } : nothing
  },
  describe: ({ asked, site }, count) => `${wordsOf(asked, site)}: ${many(count, 'place')}`,
})
