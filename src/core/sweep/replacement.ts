import {
  applyShade,
  clippedShade,
  colorKey,
  colorOf,
  fromBytes,
  tidyShade,
  toBytes,
  writeHex,
  writeLike,
  type Color,
  type Shade,
} from '../color'
import { decisionColor } from '../resolve'
import { isBound, type BoundDecision, type ColorDecision, type Palette, type SlotId } from '../site'
import type { Use } from '../uses'
import { movedDecision } from './family'
import { isMovedAlong, type Sought } from './match'
import type { SweepPair } from './pair'

/** The target with the alpha that the use had, where it had one of its own. */
function keepAlpha(palette: Palette, use: Sought, to: ColorDecision): ColorDecision {
  const alpha = use.color?.alpha ?? 1
  const own = isBound(use.decision) ? undefined : alpha
  if (own === undefined || own >= 1) return to
  const target = decisionColor(palette, to)
  if (!isBound(to)) return { value: writeHex({ ...target, alpha: own }) }
  const shift = Math.round((own - target.alpha) * 100)
  const shade = tidyShade({ ...to.shade, alpha: (to.shade?.alpha ?? 0) + shift })
  return shade ? { slot: to.slot, shade } : { slot: to.slot }
}

function addShades(a: Shade | undefined, b: Shade | undefined): Shade | undefined {
  const sum = (key: keyof Shade, limit: number) =>
    Math.max(-limit, Math.min(limit, (a?.[key] ?? 0) + (b?.[key] ?? 0)))
  return tidyShade({
    lightness: sum('lightness', 100),
    saturation: sum('saturation', 100),
    hue: sum('hue', 180),
    alpha: sum('alpha', 100),
  })
}

/**
 * What a decision becomes. A use bound to a shade stays that shade of the new slot, where the
 * whole slot is looked for; one of a family moves along with it.
 */
export function decisionAfter(
  palette: Palette,
  use: Sought,
  { from, to }: SweepPair,
): ColorDecision {
  if (!isBound(use.decision)) {
    const { color } = use
    const head = 'value' in from && from.family ? colorOf(from.value) : undefined
    if (head && color && 'value' in from && isMovedAlong(from, colorKey(color))) {
      return movedDecision(palette, to, head, color)
    }
    return keepAlpha(palette, use, to)
  }
  const { shade } = use.decision
  if (!shade || ('slot' in from && from.shade)) return to
  if (isBound(to)) {
    const both = addShades(to.shade, shade)
    return both ? { slot: to.slot, shade: both } : { slot: to.slot }
  }
  const color = colorOf(to.value)
  return color ? { value: writeHex(applyShade(color, shade)) } : to
}

const signed = (letter: string, offset: number, unit: number) =>
  offset ? `calc(${letter} ${offset < 0 ? '-' : '+'} ${Math.abs(offset) / unit})` : letter

/** A reference to a slot in CSS text, with what it holds where the text may stand without the palette; shades are written as relative colours (CSS Color 5), for no property is kept for them there. */
export function slotReference({ slot, shade }: BoundDecision, held?: string): string {
  const base = held ? `var(--slot-${slot}, ${held})` : `var(--slot-${slot})`
  if (!shade) return base
  const { lightness = 0, saturation = 0, hue = 0, alpha = 0 } = shade
  const fade = alpha ? ` / ${signed('alpha', alpha, 100)}` : ''
  if (!lightness && !saturation && !hue) return `rgb(from ${base} r g b${fade})`
  const chroma = saturation ? `calc(c * ${1 + saturation / 100})` : 'c'
  return `oklch(from ${base} ${signed('l', lightness, 100)} ${chroma} ${signed('h', hue, 1)}${fade})`
}

/** Characters that an address cannot do without escaping, wherever it stands. */
const ESCAPED = /[#% ()]/

/** A colour as it must be written in an address: each character as it was written in the other, if that had it. */
function escapedLike(written: string, color: string): string {
  const ways = new Map<string, string>()
  for (const [way] of written.matchAll(/%[\da-f]{2}|[^%]/gi)) {
    const character = way.length > 1 ? String.fromCharCode(Number.parseInt(way.slice(1), 16)) : way
    if (!ways.has(character)) ways.set(character, way)
  }
  const escaped = (character: string) =>
    `%${character.charCodeAt(0).toString(16).toUpperCase().padStart(2, '0')}`
  return [...color]
    .map((each) => {
      const known = /[\w.]/.test(each) ? undefined : ways.get(each)
      return known ?? (ESCAPED.test(each) ? escaped(each) : each)
    })
    .join('')
}

/** What a stretch of text becomes. */
export function textAfter(palette: Palette, use: Use, pair: SweepPair): string {
  if (use.escape === 'channels') {
    // Three numbers hold no transparency: what takes them gives it.
    const color = { ...decisionColor(palette, decisionAfter(palette, use, pair)), alpha: 1 }
    return /^\w+\((.*)\)$/s.exec(writeLike(use.css!, color))?.[1] ?? use.text
  }
  const after = plainAfter(palette, use, pair)
  return use.escape === 'percent' ? escapedLike(use.text, after) : after
}

function plainAfter(palette: Palette, use: Use, pair: SweepPair): string {
  const { to } = pair
  const written = use.css ?? use.text
  const held = (slot: SlotId) =>
    use.place === 'pictures' ? writeHex(decisionColor(palette, { slot })) : undefined
  if (isBound(use.decision) && isBound(to)) {
    const { slot } = use.decision
    if (to.shade || use.place === 'pictures') return slotReference(to, held(to.slot))
    return written.replace(`--slot-${slot}`, `--slot-${to.slot}`)
  }
  const decision = decisionAfter(palette, use, pair)
  if (isBound(decision) && use.bindable) return slotReference(decision, held(decision.slot))
  return writeLike(written, decisionColor(palette, decision))
}

/** What a browser paints where a decision is written in a text: slots as they are shown, their shades cut off at the edge of sRGB. */
export function textColorAfter(palette: Palette, use: Use, pair: SweepPair): Color {
  const decision = decisionAfter(palette, use, pair)
  if (use.escape === 'channels') return { ...decisionColor(palette, decision), alpha: 1 }
  if (!isBound(decision) || !use.bindable) return decisionColor(palette, decision)
  const slot = decisionColor(palette, { slot: decision.slot })
  return clippedShade(fromBytes(toBytes(slot), slot.alpha), decision.shade)
}
