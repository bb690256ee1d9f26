import { clamp, fromChannels, inGamut, type Color, type Triple } from './color'
import { linearToOklab, oklabToLinear, toOklab } from './oklab'
import { encode, linearize } from './xyz'

/** Just noticeable difference in OKLab, and the precision of the search; CSS Color 4 §13.2. */
const JND = 0.02
const PRECISION = 0.0001

/** A channel is within 0…1 in linear light exactly where it is gamma-encoded. */
const holds = ([r, g, b]: Triple) => r >= 0 && r <= 1 && g >= 0 && g <= 1 && b >= 0 && b <= 1

const clip = ([r, g, b]: Triple): Triple => [clamp(r, 0, 1), clamp(g, 0, 1), clamp(b, 0, 1)]

/** The distance in OKLab from a point to what is left of it after clipping its linear channels. */
function clipped(l: number, a: number, b: number, linear: Triple): number {
  const [r, g, blue] = clip(linear)
  const [l2, a2, b2] = linearToOklab(r, g, blue)
  return Math.hypot(l - l2, a - a2, b - b2)
}

const encoded = (linear: Triple, alpha: number): Color => {
  const [r, g, b] = clip(linear)
  return fromChannels([encode(r), encode(g), encode(b)], alpha)
}

/** What browsers paint of a colour outside of sRGB on an sRGB screen: each channel cut off by itself (seen in Chromium 156). */
export function clipToGamut(color: Color): Color {
  if (inGamut(color, 0)) return color
  return fromChannels(clip([color.r, color.g, color.b]), color.alpha)
}

/**
 * Maps a colour into the sRGB gamut: hue and lightness are kept, chroma is
 * lowered until clipping what is left cannot be noticed.
 * Source: CSS Color 4 §13.2, the binary search with local MINDE in OKLCH. The
 * search runs in linear light, which saves encoding every candidate.
 */
export function mapToGamut(color: Color): Color {
  if (inGamut(color, 0)) return color
  const { l, a, b, alpha } = toOklab(color)
  // The way there and back leaves white a hair below 1.
  if (l >= 1 - 1e-6) return fromChannels([1, 1, 1], alpha)
  if (l <= 1e-6) return fromChannels([0, 0, 0], alpha)
  const own: Triple = [linearize(color.r), linearize(color.g), linearize(color.b)]
  if (clipped(l, a, b, own) < JND) return encoded(own, alpha)
  const chroma = Math.hypot(a, b)
  const [alongA, alongB] = [a / chroma, b / chroma]
  let [low, high, lowInGamut] = [0, chroma, true]
  while (high - low > PRECISION) {
    const c = (low + high) / 2
    const candidate = oklabToLinear(l, c * alongA, c * alongB)
    if (lowInGamut && holds(candidate)) {
      low = c
      continue
    }
    const gap = clipped(l, c * alongA, c * alongB, candidate)
    if (gap < JND) {
      if (JND - gap < PRECISION) return encoded(candidate, alpha)
      lowInGamut = false
      low = c
    } else high = c
  }
  return encoded(oklabToLinear(l, low * alongA, low * alongB), alpha)
}
