import { colorOf, writeHex } from '@/core/color'
import { kindClass, kindIds, kindOf } from '@/core/elements'
import { roleProperty, slotProperty } from '@/core/render'
import { slotColor } from '@/core/resolve'
import { roleIds, roleName } from '@/core/roles'
import { isBound, own, slotsInOrder, type ColorDecision, type Palette } from '@/core/site'
import { slotReference } from '@/core/sweep'
import type { FoundInCss } from '@/core/uses'
import type { ColorInText, Offer } from './code-field'

function paintOf(palette: Palette, { slot, text, css }: FoundInCss): string | undefined {
  if (slot) {
    const found = own(palette.slots, slot)
    return found && writeHex(slotColor(palette, found.id))
  }
  const color = colorOf(css ?? text)
  return color && writeHex(color)
}

/** Colours that a reader found in a text, slots among them, as they are painted. */
export const colorsOf = (palette: Palette, all: readonly FoundInCss[]): ColorInText[] =>
  all.flatMap((found) => {
    const paint = paintOf(palette, found)
    return paint ? [{ from: found.start, to: found.start + found.text.length, paint }] : []
  })

/** What code can name: slots, roles, and the classes of the kinds of element. */
export const offersOf = (palette: Palette): Offer[] => [
  ...slotsInOrder(palette).map(({ id, name, value }) => ({
    label: slotProperty(id),
    detail: `slot ${name}${value ? `, ${value}` : ''}`,
  })),
  ...roleIds.map((role) => ({ label: roleProperty(role), detail: `role: ${roleName(role)}` })),
  ...kindIds.map((kind) => ({ label: `.${kindClass(kind)}`, detail: kindOf(kind).label })),
]

/** A text with another colour in the place of one: a slot and its shades by its name, all else as a colour. */
export function withColor(
  text: string,
  { from, to }: ColorInText,
  decision: ColorDecision,
): string {
  const put = isBound(decision) ? slotReference(decision) : decision.value
  return `${text.slice(0, from)}${put}${text.slice(to)}`
}
