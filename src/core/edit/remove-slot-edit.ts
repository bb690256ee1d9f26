import { z } from 'zod'
import { slotId, slotName } from '../site'
import { defineEdit } from './edit'
import { sweep, sweepChange } from './sweep-edit'

const removeSlotCommand = z.strictObject({
  type: z.literal('removeSlot'),
  slot: slotId,
  /** What every use of the slot becomes; made by the server from the use index. */
  changes: z.array(sweepChange).max(100_000),
})

/** Takes a slot out of the palette, and everything that referred to it to what takes its place. */
export const removeSlot = defineEdit<z.infer<typeof removeSlotCommand>>({
  type: 'removeSlot',
  schema: removeSlotCommand,
  pages: ({ changes }) => sweep.pages({ type: 'sweep', told: '', changes }),
  apply(draft, { slot, changes }) {
    const { palette } = draft.frame
    if (!palette.slots[slot]) return 'slot-gone'
    const problem = sweep.apply(draft, { type: 'sweep', told: '', changes })
    if (problem) return problem
    delete palette.slots[slot]
    palette.order = palette.order.filter((id) => id !== slot)
  },
  describe: ({ slot, changes }, { frame }) =>
    `Slot ${slotName(frame.palette, slot)} removed, ${changes.length} ${changes.length === 1 ? 'use' : 'uses'} given to another colour`,
})
