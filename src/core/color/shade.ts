import * as z from 'zod'
import { clamp, type Color } from './color'
import { clipToGamut, mapToGamut } from './gamut'
import { fromOklch, toOklch, turn, type Oklch } from './oklch'

/**
 * A colour derived from a slot by offsets in OKLCH. `lightness` in points
 * (−100…100, of L 0…100), `saturation` in per cent of the slot's own chroma
 * (−100 leaves grey, +100 doubles it), `hue` in degrees (−180…180), `alpha` in
 * points (−100…0…100, of alpha 0…100; −50 on an opaque slot is half transparent).
 */
export const shadeSchema = z.strictObject({
  lightness: z.number().int().min(-100).max(100).optional(),
  saturation: z.number().int().min(-100).max(100).optional(),
  hue: z.number().int().min(-180).max(180).optional(),
  alpha: z.number().int().min(-100).max(100).optional(),
})

export type Shade = z.infer<typeof shadeSchema>

/** Drops offsets of zero, so that one shade has one form; undefined when nothing is left. */
export function tidyShade(shade: Shade | undefined): Shade | undefined {
  const entries = Object.entries(shade ?? {}).filter(([, offset]) => offset)
  return entries.length ? (Object.fromEntries(entries) as Shade) : undefined
}

/** Steps of lightness that were given a colour of their own, in place of the computed one: a brand’s official tint. */
export type Steps = Readonly<Record<number, Color>>

/**
 * For many shades of one colour: a function that gives it shifted by a shade's
 * offsets, within the sRGB gamut. A step of lightness with a colour of its own is
 * that colour, and the other offsets shift it.
 */
export function shadesOf(color: Color, steps: Steps = {}): (shade: Shade | undefined) => Color {
  const own = mapToGamut(color)
  const lch = toOklch(color)
  return (shade) => {
    if (!shade) return own
    const { lightness = 0, ...others } = shade
    const step = steps[lightness]
    return mapToGamut(step ? shifted(toOklch(step), others) : shifted(lch, shade))
  }
}

function shifted({ l, c, h, alpha }: Oklch, shade: Shade): Color {
  return fromOklch({
    l: clamp(l + (shade.lightness ?? 0) / 100, 0, 1),
    c: c * (1 + (shade.saturation ?? 0) / 100),
    h: turn(h + (shade.hue ?? 0)),
    alpha: clamp(alpha + (shade.alpha ?? 0) / 100, 0, 1),
  })
}

/**
 * The same shift as browsers paint it where it is written as a relative colour
 * (CSS Color 5): what sRGB cannot show is cut off by channels, not mapped.
 */
export function clippedShade(color: Color, shade: Shade | undefined): Color {
  return clipToGamut(shade ? shifted(toOklch(color), shade) : color)
}

/** The slot's colour shifted by the shade's offsets, within the sRGB gamut. */
export function applyShade(color: Color, shade: Shade | undefined): Color {
  return shade ? shadesOf(color)(shade) : mapToGamut(color)
}

/** The offsets in their order, with the sign that marks each for people. */
const PARTS: ReadonlyArray<readonly [keyof Shade, string]> = [
  ['lightness', ''],
  ['saturation', 's'],
  ['hue', '°'],
  ['alpha', 'α'],
]

/** The shade as part of a custom property’s name: `lighter-8`, `darker-10`, `alpha-m50`. */
export function shadeToken(shade: Shade): string {
  const named = (key: keyof Shade, offset: number) => {
    if (key === 'lightness') return `${offset > 0 ? 'lighter' : 'darker'}-${Math.abs(offset)}`
    return `${key}-${offset < 0 ? 'm' : 'p'}${Math.abs(offset)}`
  }
  return PARTS.filter(([key]) => shade[key])
    .map(([key]) => named(key, shade[key]!))
    .join('-')
}

/** A shade in short, for people: `+8`, `−10`, `−50α`. */
export function writeShade(shade: Shade): string {
  return PARTS.filter(([key]) => shade[key])
    .map(([key, unit]) => {
      const offset = shade[key]!
      return `${offset > 0 ? '+' : '−'}${Math.abs(offset)}${unit}`
    })
    .join(' ')
}

/** The same hue and chroma, lighter (or, below 0, darker) by points of OKLCH lightness 0…100, within sRGB. */
export function sameHue(color: Color, points: number): Color {
  const { l, c, h, alpha } = toOklch(color)
  return mapToGamut(fromOklch({ l: clamp(l + points / 100, 0, 1), c, h, alpha }))
}
