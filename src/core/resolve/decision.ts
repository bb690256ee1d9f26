import { applyShade, colorOf, shadesOf, type Color, type Shade, type Steps } from '../color'
import { isBound, own, type ColorDecision, type Palette, type Slot } from '../site'

/** The part of a palette that colours come from. */
export type Slots = Pick<Palette, 'slots'>

/** What an empty slot paints: nothing. */
const nothing: Color = { r: 0, g: 0, b: 0, alpha: 0 }

/** The colour a slot holds, within sRGB; nothing where it is empty or missing. */
export function slotColor(palette: Slots, id: string): Color {
  const value = own(palette.slots, id)?.value
  const color = value ? colorOf(value) : undefined
  return color ? applyShade(color, undefined) : nothing
}

/** The steps of a slot that have a colour of their own. */
export function slotSteps({ steps }: Pick<Slot, 'steps'>): Steps | undefined {
  if (!steps) return undefined
  return Object.fromEntries(
    Object.entries(steps).flatMap(([step, text]) => {
      const color = colorOf(text)
      return color ? [[step, color]] : []
    }),
  )
}

/** For many shades of one slot: a function that gives each, within sRGB; nothing where the slot is empty. */
export function slotShades(palette: Slots, id: string): (shade: Shade | undefined) => Color {
  const slot = own(palette.slots, id)
  const color = slot?.value ? colorOf(slot.value) : undefined
  return slot && color ? shadesOf(color, slotSteps(slot)) : () => nothing
}

/** The colour that a decision comes to, within sRGB. */
export function decisionColor(palette: Slots, decision: ColorDecision): Color {
  if (isBound(decision)) {
    return decision.shade
      ? slotShades(palette, decision.slot)(decision.shade)
      : slotColor(palette, decision.slot)
  }
  const color = colorOf(decision.value)
  return color ? applyShade(color, undefined) : nothing
}
