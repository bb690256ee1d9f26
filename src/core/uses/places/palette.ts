import { textLines } from '../../css'
import { slotsInOrder, type Slot } from '../../site'
import type { Use } from '../use'
import type { PlaceReader } from './reading'
import { textUse } from './text-use'

/** A value of a slot, or a step of it that has a colour of its own: text that no slot can stand in. */
function valueUse({ id, name }: Slot, text: string, property: string, path: string[]): Use[] {
  const find = { start: 0, text, property, paints: 'other', bindable: false } as const
  return textUse(textLines(text), find, {
    place: 'palette',
    doc: 'frame',
    path: ['palette', 'slots', id, ...path],
    object: 'slot',
    label: property === 'value' ? `${name}, the slot itself` : `${name}, ${property}`,
    owner: { slot: id },
  })
}

function slotUses(slot: Slot): Use[] {
  const { value, steps = {} } = slot
  return [
    ...(value === null ? [] : valueUse(slot, value, 'value', ['value'])),
    ...Object.entries(steps).flatMap(([step, text]) =>
      valueUse(slot, text, `step ${step}`, ['steps', step]),
    ),
  ]
}

/** What slots hold. All else that has a colour refers to it, or has one of its own. */
export const readPalette: PlaceReader = ({ frame }) =>
  (frame ? slotsInOrder(frame.palette) : []).map((slot) => {
    const uses = slotUses(slot)
    return { of: slot, from: 'palette', count: uses.length, uses: () => uses }
  })
