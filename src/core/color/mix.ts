import { between, type Color } from './color'
import { clipToGamut } from './gamut'
import { fromOklab, toOklab } from './oklab'
import { fromOklch, toOklch } from './oklch'

/** In which space a gradient goes from one colour to the next (CSS Color 4, 12). */
export const mixSpaces = ['srgb', 'oklab', 'oklch'] as const
export type MixSpace = (typeof mixSpaces)[number]

const along = (from: number, to: number, at: number) => from + (to - from) * at

/** Hue of a colour without one is that of the other; between two, the shorter way around (CSS Color 4, 12.4). */
function hueBetween(from: number, to: number, at: number): number {
  const way = ((to - from + 540) % 360) - 180
  return (from + way * at + 360) % 360
}

/**
 * Chroma below which a colour has no hue that counts, as Chromium has it (measured, see
 * `e2e/paints.spec.ts`); CSS Color 4, 4.4 leaves how small a chroma that is to browsers.
 * Of exact greys in OKLCH, Chromium mixes in a hue that comes from rounding (up to half of the way
 * to about 204°); here they take the other colour's, as the standard says. Lightness is the same.
 */
const HUELESS = 0.02

/**
 * The colour between two, `at` 0…1 of the way, in a space, as browsers paint a gradient: what is
 * clear does not colour what it fades into (premultiplied), and what sRGB cannot show is cut off.
 */
export function mix(from: Color, to: Color, at: number, space: MixSpace): Color {
  if (space === 'srgb') return between(from, to, at)
  const alpha = along(from.alpha, to.alpha, at)
  const part = (a: number, b: number) =>
    alpha === 0 ? along(a, b, at) : along(a * from.alpha, b * to.alpha, at) / alpha
  if (space === 'oklab') {
    const [a, b] = [toOklab(from), toOklab(to)]
    return clipToGamut(
      fromOklab({ l: part(a.l, b.l), a: part(a.a, b.a), b: part(a.b, b.b), alpha }),
    )
  }
  const [a, b] = [toOklch(from), toOklch(to)]
  const [hueA, hueB] = [a.c < HUELESS ? b.h : a.h, b.c < HUELESS ? a.h : b.h]
  return clipToGamut(
    fromOklch({ l: part(a.l, b.l), c: part(a.c, b.c), h: hueBetween(hueA, hueB, at), alpha }),
  )
}
