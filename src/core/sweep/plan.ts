import { type Color } from '../color'
import { isStretch, type Change, type Json } from '../changes'
import { decisionColor } from '../resolve'
import { canonicalJson, isBound, type ColorDecision, type Palette } from '../site'
import { useKey, type Use } from '../uses'
import { pairFor, type Sought } from './match'
import type { SweepRequest } from './pair'
import { recodedChanges } from './recoded'
import { rememberedChanges } from './remembered'
import { areAllTicked, tickedBy, type Facets, type Ticks } from './ticks'
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

/** What a decision comes to by the pair that takes it. */
interface Outcome {
  readonly pair: number
  readonly to: ColorDecision
  readonly color: Color
  /** Whether that is what it is already. */
  readonly isSame: boolean
}

function outcomeOf(
  palette: Palette,
  use: Sought,
  pairs: SweepRequest['pairs'],
): Outcome | undefined {
  const pair = pairFor(pairs, use)
  if (pair === undefined) return undefined
  const to = decisionAfter(palette, use, pairs[pair]!)
  const isSame = canonicalJson(to) === canonicalJson(use.decision)
  return { pair, to, color: decisionColor(palette, to), isSame }
}

/**
 * What a decision comes to wherever it stands by itself; undefined where no pair takes it, or it
 * stays what it is. Texts that hold colours, and the palette, ask for more: `hitFor`.
 */
export function decisionSwept(
  palette: Palette,
  use: Sought,
  { pairs }: SweepRequest,
): ColorDecision | undefined {
  const outcome = outcomeOf(palette, use, pairs)
  return outcome && !outcome.isSame ? outcome.to : undefined
}

/** Outcomes that were found, by the decisions that come to them, which tell the colour as well: many uses share one. */
export type Outcomes = Map<ColorDecision, Outcome | undefined>

/**
 * What one use becomes; undefined where none of the pairs takes it, or nothing changes.
 * `known` is of one palette and one request.
 */
export function hitFor(
  palette: Palette,
  use: Use,
  { pairs }: SweepRequest,
  known: Outcomes = new Map(),
): Hit | undefined {
  if (!known.has(use.decision)) known.set(use.decision, outcomeOf(palette, use, pairs))
  const outcome = known.get(use.decision)
  if (!outcome) return undefined
  const { pair, to } = outcome
  const replaced = pairs[pair]!
  // A slot holds a value; it does not refer to another slot.
  if (use.place === 'palette' && isBound(replaced.to)) return undefined
  const path = [...use.path]
  const shared = { key: useKey(use), use, pair, beforeColor: use.color }
  if (use.start === undefined) {
    if (outcome.isSame) return undefined
    return {
      ...shared,
      after: isBound(to) ? `slot ${to.slot}` : to.value,
      afterColor: outcome.color,
      becomesBound: isBound(to),
      change: { path, from: use.decision as Json, to: to as Json },
    }
  }
  const after = textAfter(palette, use, replaced)
  if (after === use.text) return undefined
  return {
    ...shared,
    after,
    afterColor: textColorAfter(palette, use, replaced),
    becomesBound: use.bindable && isBound(to),
    change: { path, at: use.start, out: use.text, in: after },
  }
}

/**
 * The dry run: every use that one of the pairs takes, with what it becomes.
 * All pairs look at the site as it is, so two that swap do swap.
 */
export function planSweep(palette: Palette, uses: readonly Use[], request: SweepRequest): Hit[] {
  const { paints, scope } = request
  const known: Outcomes = new Map()
  return uses
    .filter((use) => inScope(use, scope))
    .filter((use) => !paints || (paints as readonly string[]).includes(use.paints))
    .flatMap((use) => hitFor(palette, use, request, known) ?? [])
}

/** What a filter looks at, of a hit. */
export const facetsOf = ({ use, pair }: Pick<Hit, 'use' | 'pair'>): Facets => ({ ...use, pair })

/** The hits that are carried out: all but those that were unticked. */
export function chosenHits(hits: readonly Hit[], ticks: Ticks = {}): Hit[] {
  if (areAllTicked(ticks)) return [...hits]
  const isTicked = tickedBy(ticks)
  return hits.filter((hit) => isTicked(hit.key, facetsOf(hit)))
}

/**
 * The changes of the hits in one record, as they are made one after the other:
 * in one text from the last to the first, so that each stands where it was found.
 */
export function changesOfHits(hits: readonly Hit[], read: () => unknown): Change[] {
  const inBase64 = hits.filter(({ use }) => use.escape === 'base64')
  const changes = hits.filter(({ use }) => use.escape !== 'base64').map(({ change }) => change)
  const texts = [
    ...changes.filter(isStretch),
    ...(inBase64.length ? recodedChanges(inBase64, read()) : []),
  ]
  texts.sort((a, b) => b.at - a.at)
  const others = changes.filter((change) => !isStretch(change))
  return [...others, ...texts, ...rememberedChanges(hits, read)]
}
