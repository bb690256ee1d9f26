import * as z from 'zod'
import { decisionWords } from '../edit'
import { isBound, siteDocs, type ColorDecision, type Frame } from '../site'
import {
  areAllTicked,
  changesOfHits,
  chosenHits,
  decisionSwept,
  distanceToKey,
  pairFaults,
  planSweep,
  sweepRequest,
  type SweepRequest,
} from '../sweep'
import { defineWide, expected, many, nothing, ready, refuse, type UseQuestion } from './wide'

/** The uses that a request may take: which colours are near enough is told by their keys alone. */
export function questionOf(
  { pairs, scope, paints }: SweepRequest,
  colors: readonly string[],
): UseQuestion {
  const froms = pairs.map(({ from }) => from)
  return {
    slots: froms.flatMap((from) => ('slot' in from ? [from.slot] : [])),
    colors: colors.filter((key) =>
      froms.some((from) => 'value' in from && distanceToKey(from, key) !== undefined),
    ),
    ...(paints ? { paints } : {}),
    ...(scope === 'site' ? {} : { page: scope }),
  }
}

/** Whether a slot that a decision refers to is there. */
export const isThere = ({ palette }: Frame, decision: ColorDecision): boolean =>
  !isBound(decision) || Object.hasOwn(palette.slots, decision.slot)

const sweepIntent = z.strictObject({
  type: z.literal('sweep'),
  request: sweepRequest,
  /** What the dry run came to, as it was ticked. */
  expects: expected.optional(),
})

/** Replaces colours wherever they are decided: exactly what the dry run lists. */
export const sweep = defineWide({
  type: 'sweep',
  schema: sweepIntent,
  asks: ['colors'],
  checkpoint: true,
  expects: ({ expects }) => expects,
  prepare({ request }: z.infer<typeof sweepIntent>, { frame, colors }) {
    if (!request.pairs.every(({ to }) => isThere(frame, to))) return refuse('slot-gone')
    if (pairFaults(request.pairs).includes('at-odds')) return refuse('pairs-at-odds')
    return ready({ request, frame, question: questionOf(request, colors) })
  },
  reach: ({ question }) => ({ uses: question }),
  plan({ request, frame }, { uses, read }) {
    const hits = chosenHits(planSweep(frame.palette, uses, request), request.ticks)
    return hits.length ? { changes: changesOfHits(hits, read), count: hits.length } : nothing
  },
  everywhere({ request, frame }) {
    const { ticks, paints, scope } = request
    if (!areAllTicked(ticks) || paints || scope !== 'site') return undefined
    return (sought) => decisionSwept(frame.palette, sought, request)
  },
  describe({ request: { pairs }, frame }, count) {
    const docs = siteDocs(frame)
    const [{ from, to }] = pairs as [SweepRequest['pairs'][number]]
    const before = 'slot' in from ? decisionWords({ slot: from.slot }, docs) : from.value
    const more = pairs.length > 1 ? ` and ${pairs.length - 1} more` : ''
    return `Swept ${before} to ${decisionWords(to, docs)}${more}: ${many(count, 'use')}`
  },
})
