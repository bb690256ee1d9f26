import { linearize, linearToOklab, toOklab, type Color } from '../color'
import type { PixelBytes } from './pixel-bytes'

/** Colours of a picture, a few hundred at most: red, green, blue in 0…255, and the share of the picture, 0…1. */
export type Tones = ReadonlyArray<readonly [r: number, g: number, b: number, share: number]>

/** Bits of each channel that tell one tone from another. */
const BITS = 5
const MOST_TONES = 400

/** The tones of some pixels, those with the largest share first; what can be seen through counts for less. */
export function tonesOf(data: PixelBytes): Tones {
  const sums = new Map<number, [r: number, g: number, b: number, weight: number]>()
  let all = 0
  for (let i = 0; i < data.length; i += 4) {
    const [r, g, b, alpha] = [data[i]!, data[i + 1]!, data[i + 2]!, data[i + 3]! / 255]
    all += 1
    if (alpha === 0) continue
    const key = ((r >> (8 - BITS)) << (2 * BITS)) | ((g >> (8 - BITS)) << BITS) | (b >> (8 - BITS))
    const sum = sums.get(key) ?? [0, 0, 0, 0]
    sum[0] += r * alpha
    sum[1] += g * alpha
    sum[2] += b * alpha
    sum[3] += alpha
    sums.set(key, sum)
  }
  return [...sums.values()]
    .sort((a, b) => b[3] - a[3])
    .slice(0, MOST_TONES)
    .map(([r, g, b, weight]) => [
      Math.round(r / weight),
      Math.round(g / weight),
      Math.round(b / weight),
      Number((weight / all).toFixed(5)),
    ])
}

/** OKLab distance within which a tone is taken for a colour; lightness counts half, for light and shadow change it. Common practice, no source. */
const NEAR = 0.055

/** The share of its chroma that a tone must have at least: a faint grey beside it is another colour. Common practice, no source. */
const CLEAR = 0.6

/** The share of a picture, 0…1, that is of a colour, in light or in shadow. */
export function shareOf(tones: Tones, color: Color): number {
  const wanted = toOklab(color)
  const chroma = Math.hypot(wanted.a, wanted.b)
  let sum = 0
  for (const [r, g, b, share] of tones) {
    const [l, labA, labB] = linearToOklab(
      linearize(r / 255),
      linearize(g / 255),
      linearize(b / 255),
    )
    const isClear = Math.hypot(labA, labB) >= CLEAR * chroma
    const gap = Math.hypot((l - wanted.l) / 2, labA - wanted.a, labB - wanted.b)
    if (isClear && gap <= NEAR) sum += share
  }
  return Math.min(1, sum)
}

/** The share from which on a colour is one that is seen in a picture. Common practice, no source. */
export const visibleShare = 0.02
