import type { Triple } from '../color'
import type { PixelBytes } from './pixel-bytes'

/** A drawing has few colours, which cover most of it: at most so many, each with this share of its opaque pixels, together with that. Common practice, no source. */
const [MOST, LEAST_SHARE, TOGETHER] = [24, 0.002, 0.6]

/** More colours than this, and it is a photograph; so many pixels are looked at, evenly spread. */
const [MANY, LOOKED_AT] = [1 << 16, 500_000]

/**
 * The flat colours of a drawing, the largest first: those that its areas are painted with, to the
 * byte, but for the mixtures along its edges. None for a photograph, in which hardly two pixels are
 * the same.
 */
export function flatColors(data: PixelBytes): readonly Triple[] {
  const counts = new Map<number, number>()
  let all = 0
  const step = 4 * Math.max(1, Math.floor(data.length / 4 / LOOKED_AT))
  for (let i = 0; i < data.length; i += step) {
    if (data[i + 3]! < 255) continue
    all += 1
    const key = (data[i]! << 16) | (data[i + 1]! << 8) | data[i + 2]!
    counts.set(key, (counts.get(key) ?? 0) + 1)
    if (counts.size > MANY) return []
  }
  const flat = [...counts]
    .filter(([, count]) => count >= LEAST_SHARE * all)
    .sort(([, a], [, b]) => b - a)
    .slice(0, MOST)
  const covered = flat.reduce((sum, [, count]) => sum + count, 0)
  if (flat.length === 0 || covered < TOGETHER * all) return []
  return flat.map(([key]) => [key >> 16, (key >> 8) & 255, key & 255])
}

/** A mixture of two flat colours: `share` of the first, 0…1. */
export interface Mixture {
  readonly first: number
  readonly second: number
  readonly share: number
}

/** How far a mixture may lie from the line between two colours, in bytes: rounding, and a little more. */
const OFF = 2

/**
 * Finds which two of some flat colours a pixel along an edge is a mixture of, as drawing programs
 * mix them (in sRGB as it is encoded), by their places in the list; of several that would do the
 * nearest. `wanted` says which colours one of the two must be among.
 */
export function mixtureFinder(
  colors: readonly Triple[],
  wanted: (place: number) => boolean,
): (r: number, g: number, b: number) => Mixture | undefined {
  const pairs = colors.flatMap((from, first) =>
    colors.flatMap((to, second) => {
      if (!wanted(first) || first === second || (wanted(second) && second < first)) return []
      const way = [from[0] - to[0], from[1] - to[1], from[2] - to[2]] as const
      return [{ first, second, to, way, length: way[0] ** 2 + way[1] ** 2 + way[2] ** 2 }]
    }),
  )
  return (r, g, b) => {
    let best: Mixture | undefined
    let least = OFF * OFF
    for (const { first, second, to, way, length } of pairs) {
      const [x, y, z] = [r - to[0], g - to[1], b - to[2]]
      const share = (x * way[0] + y * way[1] + z * way[2]) / length
      if (share <= 0 || share >= 1) continue
      const off = (x - share * way[0]) ** 2 + (y - share * way[1]) ** 2 + (z - share * way[2]) ** 2
      if (off < least) [best, least] = [{ first, second, share }, off]
    }
    return best
  }
}
