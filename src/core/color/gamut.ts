import { clamp, fromChannels, inGamut, type Color } from './color'
import { toOklab } from './oklab'
import { fromOklch, toOklch } from './oklch'

/** Just noticeable difference in OKLab, and the precision of the search; CSS Color 4 §13.2. */
const JND = 0.02
const PRECISION = 0.0001

function clip(color: Color): Color {
  return fromChannels(
    [clamp(color.r, 0, 1), clamp(color.g, 0, 1), clamp(color.b, 0, 1)],
    color.alpha,
  )
}

function distance(a: Color, b: Color): number {
  const [p, q] = [toOklab(a), toOklab(b)]
  return Math.hypot(p.l - q.l, p.a - q.a, p.b - q.b)
}

/**
 * Maps a colour into the sRGB gamut: hue and lightness are kept, chroma is
 * lowered until clipping what is left cannot be noticed.
 * Source: CSS Color 4 §13.2, the binary search with local MINDE in OKLCH.
 */
export function mapToGamut(color: Color): Color {
  if (inGamut(color, 0)) return color
  const origin = toOklch(color)
  if (origin.l >= 1) return fromChannels([1, 1, 1], color.alpha)
  if (origin.l <= 0) return fromChannels([0, 0, 0], color.alpha)
  let clipped = clip(color)
  if (distance(clipped, color) < JND) return clipped
  let [low, high, lowInGamut] = [0, origin.c, true]
  while (high - low > PRECISION) {
    const chroma = (low + high) / 2
    const candidate = fromOklch({ ...origin, c: chroma })
    if (lowInGamut && inGamut(candidate, 0)) {
      low = chroma
      continue
    }
    clipped = clip(candidate)
    const gap = distance(clipped, candidate)
    if (gap < JND) {
      if (JND - gap < PRECISION) return clipped
      lowInGamut = false
      low = chroma
    } else high = chroma
  }
  return clip(fromOklch({ ...origin, c: low }))
}
