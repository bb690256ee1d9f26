import * as z from 'zod'
import type { Change, Json } from '../changes'
import { colorDecision, isBound, slotId, slotName, type SlotId } from '../site'
import { changesOfHits, planSweep, type SweepRequest } from '../sweep'
import { isThere } from './sweep'
import { defineWide, many, ready, refuse } from './wide'

const removeSlotIntent = z.strictObject({
  type: z.literal('removeSlot'),
  slot: slotId,
  /** What every use of the slot becomes. */
  to: colorDecision,
})

/** The slot itself out of the palette. */
function withoutSlot(slot: SlotId, record: unknown, order: readonly SlotId[]): Change[] {
  return [
    { path: ['palette', 'slots', slot], from: record as Json },
    { path: ['palette', 'order'], at: order.indexOf(slot), out: [slot], in: [] },
  ]
}

/** Takes a slot out of the palette, and everything that referred to it to what takes its place. */
export const removeSlot = defineWide({
  type: 'removeSlot',
  schema: removeSlotIntent,
  asks: [],
  always: true,
  prepare({ slot, to }: z.infer<typeof removeSlotIntent>, { frame }) {
    if (!Object.hasOwn(frame.palette.slots, slot)) return refuse('slot-gone')
    if ((isBound(to) && to.slot === slot) || !isThere(frame, to)) return refuse('slot-gone')
    const request: SweepRequest = { pairs: [{ from: { slot }, to }], scope: 'site' }
    return ready({ slot, frame, request })
  },
  reach: ({ slot }) => ({ frame: true, uses: { slots: [slot], colors: [] } }),
  plan({ slot, frame, request }, { kind, uses, read }) {
    const hits = planSweep(frame.palette, uses, request)
    const { slots, order } = frame.palette
    const own = kind === 'frame' ? withoutSlot(slot, slots[slot], order) : []
    return { changes: [...changesOfHits(hits, read), ...own], count: hits.length }
  },
  describe: ({ slot, frame }, count) =>
    `Slot ${slotName(frame.palette, slot)} removed, ${many(count, 'use')} given to another colour`,
})
