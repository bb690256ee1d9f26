import { isStretch, type Change } from '../changes'
import { isColor, type ColorDecision, type Paint } from '../site'
import type { UsePath } from './use'

/** A decision that stands where another stood. */
export interface ExchangedDecision {
  readonly path: UsePath
  readonly decision: ColorDecision
}

const isDecision = (value: unknown): value is ColorDecision =>
  typeof value === 'object' && value !== null && isColor(value as Paint)

/**
 * The decisions that elements of a body hold after changes, where all of these do
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
    const [body, elements, , looks] = path
    const isOfElement = body === 'body' && elements === 'elements' && looks === 'looks'
    if (!isOfElement || !isDecision(from) || !isDecision(to)) return undefined
    exchanged.set(JSON.stringify(path), { path, decision: to })
  }
  return [...exchanged.values()]
}
