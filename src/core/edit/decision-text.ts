import { colorOf, tidyShade, writeShade, type Shade } from '../color'
import { isBound, slotName, slotsInOrder, type ColorDecision, type Palette } from '../site'

/** A decision in a few words: `Brand −10`, or the loose colour as it was written. */
export function writeDecision(palette: Palette, decision: ColorDecision): string {
  if (!isBound(decision)) return decision.value
  const name = slotName(palette, decision.slot)
  return decision.shade ? `${name} ${writeShade(decision.shade)}` : name
}

const UNITS: Readonly<Record<string, keyof Shade>> = {
  '': 'lightness',
  s: 'saturation',
  '°': 'hue',
  h: 'hue',
  α: 'alpha',
  a: 'alpha',
}
const OFFSETS = /^(?:\s*[+−-]\s*\d{1,3}(?:s|°|h|α|a)?)+$/
const OFFSET = /([+−-])\s*(\d{1,3})(s|°|h|α|a)?/g

/**
 * Reads what a person types for a decision: a slot by name (letter case aside),
 * perhaps with offsets as `writeDecision` gives them, or a colour in any
 * notation. A slot's name goes before a colour's. Undefined for anything else.
 */
export function readDecision(palette: Palette, typed: string): ColorDecision | undefined {
  const text = typed.trim()
  const wanted = text.toLowerCase()
  // Longer names first: `Ink` must not take what is meant for `Ink −2`, if a slot is called that.
  const byLength = slotsInOrder(palette).sort((a, b) => b.name.length - a.name.length)
  for (const { id, name } of byLength) {
    if (!wanted.startsWith(name.toLowerCase())) continue
    const rest = text.slice(name.length)
    if (rest.trim() === '') return { slot: id }
    if (!OFFSETS.test(rest)) continue
    const shade: Partial<Record<keyof Shade, number>> = {}
    for (const [, sign, digits, unit = ''] of rest.matchAll(OFFSET)) {
      const reach = UNITS[unit] === 'hue' ? 180 : 100
      shade[UNITS[unit]!] = Math.min(reach, Number(digits)) * (sign === '+' ? 1 : -1)
    }
    const tidy = tidyShade(shade)
    return tidy ? { slot: id, shade: tidy } : { slot: id }
  }
  if (!colorOf(text)) return undefined
  return { value: /^[\da-f]+$/i.test(text) ? `#${text}` : text }
}
