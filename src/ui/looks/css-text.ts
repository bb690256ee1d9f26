import { colorOf, writeHex } from '@/core/color'
import { cssFaults, type CssFaultKind } from '@/core/css'
import { kindIds, kindOf } from '@/core/elements'
import { roleProperty, slotProperty } from '@/core/render'
import { slotColor } from '@/core/resolve'
import { roleIds, roleName } from '@/core/roles'
import { isBound, slotsInOrder, type ColorDecision, type Palette, type SlotId } from '@/core/site'
import { slotReference } from '@/core/sweep'
import { readCssColors, type FoundInCss } from '@/core/uses'
import type { ColorInText, FaultInText, Offer } from '../code'

const WORDS: Readonly<Record<CssFaultKind, string>> = {
  unclosed: 'This is opened and never closed.',
  stray: 'This closes what was never opened.',
  'torn-text': 'This text has no end: put a quotation mark behind it, on the same line.',
  'torn-address':
    'This address has no end, or a character that it cannot hold. Put it in quotation marks.',
  'no-colon': 'A declaration is a property, a colon and a value.',
  import:
    'Nothing is fetched from elsewhere by these pages: put the rules themselves here instead of @import.',
  'reaches-out':
    'Nothing is fetched from elsewhere by these pages: take the file into the site and name it as assets/…',
  'too-deep': 'Blocks and brackets stand more than a hundred deep.',
}

/** Faults for which custom CSS is refused, rather than only not doing what was meant. */
const REFUSED: readonly CssFaultKind[] = ['import', 'reaches-out', 'too-deep']

export interface CssFaultInText extends FaultInText {
  readonly isRefused: boolean
}

export const faultsIn = (css: string): CssFaultInText[] =>
  cssFaults(css).map(({ start, end, what }) => ({
    from: start,
    to: end,
    words: WORDS[what],
    isRefused: REFUSED.includes(what),
  }))

function paintOf(palette: Palette, { slot, text, css }: FoundInCss): string | undefined {
  if (slot) {
    return palette.slots[slot as SlotId] && writeHex(slotColor(palette, slot as SlotId))
  }
  const color = colorOf(css ?? text)
  return color && writeHex(color)
}

/** The colours that stand in custom CSS, slots among them, where they are. */
export const colorsIn = (palette: Palette, css: string): ColorInText[] =>
  readCssColors(css, 'stylesheet').flatMap((found) => {
    const paint = paintOf(palette, found)
    return paint ? [{ from: found.start, to: found.start + found.text.length, paint }] : []
  })

/** What custom CSS can name: slots, roles, and the classes of the kinds of element. */
export const offersOf = (palette: Palette): Offer[] => [
  ...slotsInOrder(palette).map(({ id, name, value }) => ({
    label: slotProperty(id),
    detail: `slot ${name}${value ? `, ${value}` : ''}`,
  })),
  ...roleIds.map((role) => ({ label: roleProperty(role), detail: `role: ${roleName(role)}` })),
  ...kindIds.map((kind) => ({
    label: `.${kind.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`,
    detail: kindOf(kind).label,
  })),
]

/** A decision as it stands in custom CSS: a slot and its shades by its name, all else as a colour. */
export const textOf = (decision: ColorDecision): string =>
  isBound(decision) ? slotReference(decision) : decision.value
