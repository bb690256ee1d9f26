import { luminance, over, white, type Color } from '../color'
import type { SlotId } from '../site'

/** A slot's colour by id; undefined for an empty slot. */
export interface HeldColor {
  readonly id: SlotId
  readonly color?: Color
}

/** How light a colour is seen on white paper, 0…1 (WCAG 2.2 relative luminance). */
const seen = (color: Color) => luminance(over(color, white))

/** The slots from lightest to darkest; equals and empty slots keep their order, empty ones last. Common practice, no source. */
export function orderByLuminance(slots: readonly HeldColor[]): SlotId[] {
  const filled = slots.filter(({ color }) => color)
  const sorted = [...filled].sort((a, b) => seen(b.color!) - seen(a.color!))
  return [...sorted, ...slots.filter(({ color }) => !color)].map(({ id }) => id)
}

export function isInOrder(slots: readonly HeldColor[]): boolean {
  return orderByLuminance(slots).every((id, i) => id === slots[i]!.id)
}
