import { isStretch, type Change } from '../changes'
import { escaped } from '../css'
import { canonicalJson, isColor, type ColorDecision, type Paint } from '../site'
import type { UsePath } from './use'

/** A decision that stands where another stood. */
export interface ExchangedDecision {
  readonly path: UsePath
  readonly decision: ColorDecision
}

const isDecision = (value: unknown): value is ColorDecision =>
  typeof value === 'object' && value !== null && isColor(value as Paint)

/**
 * The decisions that elements and sections of a body hold after changes, where all of these do
 * nothing but put one decision in the place of another; undefined where one does
 * more. The uses of the record are then those it had, each where it was: only what
 * they come to is other.
 */
export function exchangedDecisions(
  changes: readonly Change[],
): readonly ExchangedDecision[] | undefined {
  const exchanged = new Map<string, ExchangedDecision>()
  for (const change of changes) {
    if (isStretch(change)) return undefined
    const { path, from, to } = change
    const [body, things, , looks] = path
    const isOfThing = body === 'body' && (things === 'elements' || things === 'sections')
    if (!isOfThing || looks !== 'looks' || !isDecision(from) || !isDecision(to)) return undefined
    exchanged.set(JSON.stringify(path), { path, decision: to })
  }
  return [...exchanged.values()]
}

/** A decision that stands in the place of another in a text of canonical JSON, and how often. */
export interface TextExchange {
  readonly from: ColorDecision
  readonly to: ColorDecision
  readonly count: number
}

/**
 * What changes exchange in the text of a record, each decision for one other wherever
 * it is exchanged; undefined where they do more, or do now this and now that.
 */
export function textExchanges(changes: readonly Change[]): readonly TextExchange[] | undefined {
  const known = exchangedDecisions(changes)
  // Several exchanges in one place follow one another.
  if (known?.length !== changes.length) return undefined
  const byText = new Map<string, TextExchange & { readonly into: string }>()
  // Many uses share one decision.
  const texts = new Map<ColorDecision, string>()
  const textOf = (decision: ColorDecision) => {
    const known = texts.get(decision) ?? canonicalJson(decision)
    texts.set(decision, known)
    return known
  }
  for (const change of changes) {
    if (isStretch(change)) return undefined
    const [from, to] = [change.from as ColorDecision, change.to as ColorDecision]
    const [text, into] = [textOf(from), textOf(to)]
    const same = byText.get(text)
    if (same && same.into !== into) return undefined
    byText.set(text, { from, to, into, count: (same?.count ?? 0) + 1 })
  }
  return [...byText.values()].map(({ from, to, count }) => ({ from, to, count }))
}

/** A text with decisions exchanged, and how often each was met. */
interface Exchanged {
  readonly text: string
  readonly met: ReadonlyMap<string, number>
}

/** Exchanges decisions in canonical JSON wherever they stand, all at once: two that swap do swap. */
export function exchangeEverywhere(
  text: string,
  exchanges: ReadonlyArray<Pick<TextExchange, 'from' | 'to'>>,
): Exchanged {
  const met = new Map<string, number>()
  if (exchanges.length === 0) return { text, met }
  const texts = new Map(exchanges.map(({ from, to }) => [canonicalJson(from), canonicalJson(to)]))
  const pattern = new RegExp([...texts.keys()].map(escaped).join('|'), 'g')
  const after = text.replace(pattern, (found) => {
    met.set(found, (met.get(found) ?? 0) + 1)
    return texts.get(found)!
  })
  return { text: after, met }
}

/**
 * The canonical text of a record after exchanges, without reading it; undefined where a
 * decision stands there more or less often than it is exchanged, for then its places
 * must be looked for. A text in a record cannot be taken for a decision: its quotes are escaped.
 */
export function exchangedText(
  text: string,
  exchanges: readonly TextExchange[],
): string | undefined {
  const { text: after, met } = exchangeEverywhere(text, exchanges)
  const isAll = exchanges.every(({ from, count }) => met.get(canonicalJson(from)) === count)
  return isAll ? after : undefined
}
