import type { MemberChange } from '../changes'
import { heldBefore, type Frame } from '../site'
import type { Use } from '../uses'

interface Swept {
  readonly use: Use
  readonly after: string
}

/** What slots are known to have held, once a sweep gives them another value: as where one is set by hand. */
export function rememberedChanges(hits: readonly Swept[], read: () => unknown): MemberChange[] {
  return hits.flatMap(({ use: { place, owner, property }, after }) => {
    if (place !== 'palette' || property !== 'value' || !owner.slot) return []
    const slot = (read() as Frame).palette.slots[owner.slot]
    if (!slot) return []
    const path = ['palette', 'slots', owner.slot, 'was']
    return [{ path, from: slot.was, to: heldBefore(slot, after) }]
  })
}
