import { type Color } from '../color'
import { isStretch, type Change, type Json } from '../changes'
import { decisionColor } from '../resolve'
import { canonicalJson, isBound, type Palette } from '../site'
import { useKey, type Use } from '../uses'
import { pairFor } from './match'
import type { SweepRequest } from './pair'
import { recodedChanges } from './recoded'
import { rememberedChanges } from './remembered'
import { tickedBy, type Facets, type Ticks } from './ticks'
import { decisionAfter, textAfter, textColorAfter } from './replacement'

/** One line of a dry run. */
export interface Hit {
  readonly key: string
  readonly use: Use
  readonly pair: number
  readonly after: string
  readonly beforeColor?: Color
  readonly afterColor: Color
  /** Whether the use is tied to a slot once it is replaced. */
  readonly becomesBound: boolean
  readonly change: Change
}

function inScope({ doc }: Use, scope: SweepRequest['scope']): boolean {
  return scope === 'site' || doc === scope
}

/** What one use becomes; undefined where none of the pairs takes it, or nothing changes. */
export function hitFor(palette: Palette, use: Use, request: SweepRequest): Hit | undefined {
  const pair = pairFor(request.pairs, use)
  if (pair === undefined) return undefined
  const replaced = request.pairs[pair]!
  // A slot holds a value; it does not refer to another slot.
  if (use.place === 'palette' && isBound(replaced.to)) return undefined
  const { text: before } = use
  const path = [...use.path]
  const decision = decisionAfter(palette, use, replaced)
  const shared = { key: useKey(use), use, pair, beforeColor: use.color }
  if (use.start === undefined) {
    if (canonicalJson(decision) === canonicalJson(use.decision)) return undefined
    return {
      ...shared,
      after: isBound(decision) ? `slot ${decision.slot}` : decision.value,
      afterColor: decisionColor(palette, decision),
      becomesBound: isBound(decision),
      change: { path, from: use.decision as Json, to: decision as Json },
    }
  }
  const after = textAfter(palette, use, replaced)
  if (after === before) return undefined
  return {
    ...shared,
    after,
    afterColor: textColorAfter(palette, use, replaced),
    becomesBound: use.bindable && isBound(decision),
    change: { path, at: use.start, out: before, in: after },
  }
}

/**
 * The dry run: every use that one of the pairs takes, with what it becomes.
 * All pairs look at the site as it is, so two that swap do swap.
 */
export function planSweep(palette: Palette, uses: readonly Use[], request: SweepRequest): Hit[] {
  const { paints, scope } = request
  return uses
    .filter((use) => inScope(use, scope))
    .filter((use) => !paints || (paints as readonly string[]).includes(use.paints))
    .flatMap((use) => hitFor(palette, use, request) ?? [])
}

/** What a filter looks at, of a hit. */
export const facetsOf = ({ use, pair }: Pick<Hit, 'use' | 'pair'>): Facets => ({ ...use, pair })

/** The hits that are carried out: all but those that were unticked. */
export function chosenHits(hits: readonly Hit[], ticks: Ticks = {}): Hit[] {
  const isTicked = tickedBy(ticks)
  return hits.filter((hit) => isTicked(hit.key, facetsOf(hit)))
}

/**
 * The changes of the hits in one record, as they are made one after the other:
 * in one text from the last to the first, so that each stands where it was found.
 */
export function changesOfHits(hits: readonly Hit[], record: unknown): Change[] {
  const inBase64 = hits.filter(({ use }) => use.escape === 'base64')
  const changes = hits.filter(({ use }) => use.escape !== 'base64').map(({ change }) => change)
  const texts = [...changes.filter(isStretch), ...recodedChanges(inBase64, record)]
  texts.sort((a, b) => b.at - a.at)
  const others = changes.filter((change) => !isStretch(change))
  return [...others, ...texts, ...rememberedChanges(hits, record)]
}
