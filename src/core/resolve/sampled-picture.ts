import { fromBytes, type Color } from '../color'
import type { Point, Rect, Size } from '../geometry'
import type { SampledPicture } from './paint-colors'

/** Pixels of a picture, drawn smaller: four bytes each, as a canvas gives them. */
export interface Pixels extends Size {
  readonly data: Uint8ClampedArray
}

/** Colours are told apart by so many bits of each channel; of those that are not, the darkest and the lightest are kept. */
const BITS = 4

const bucketOf = (r: number, g: number, b: number, a: number) => {
  const cut = 8 - BITS
  return (((((r >> cut) << BITS) | (g >> cut)) << BITS) | (b >> cut)) * 256 + a
}

/** Pixels from one share of a side to another: at least one. */
function span(from: number, length: number, pixels: number): readonly [number, number] {
  const first = Math.min(pixels - 1, Math.max(0, Math.floor(from * pixels + 1e-6)))
  const end = Math.min(pixels, Math.ceil((from + length) * pixels - 1e-6))
  return [first, Math.max(first + 1, end)]
}

/**
 * A picture to find the worst place for words on. A text that is darker or lighter than all of a
 * part reads worst on its lightest or darkest pixel, both of which are kept; one in between reads
 * nowhere near well enough on the pixel that is nearest to it, whichever of a few that is.
 *
 * @param size its own size, in CSS pixels
 * @param position the point that stays in sight where a paint names none, in per cent
 */
export function samplePicture(size: Size, position: Point, pixels: Pixels): SampledPicture {
  const { width, height, data } = pixels
  const colorsIn = (part: Rect): Color[] => {
    const [left, right] = span(part.x, part.width, width)
    const [top, bottom] = span(part.y, part.height, height)
    const found = new Map<number, { dark: number; light: number; least: number; most: number }>()
    for (let y = top; y < bottom; y += 1) {
      for (let x = left; x < right; x += 1) {
        const at = (y * width + x) * 4
        const [r, g, b, a] = [data[at]!, data[at + 1]!, data[at + 2]!, data[at + 3]!]
        const bucket = bucketOf(r, g, b, a)
        const known = found.get(bucket)
        // Cheap, and in the same order as luminance among colours that are so near.
        const weight = r * 0.3 + g * 0.6 + b * 0.1
        if (!known) found.set(bucket, { dark: at, light: at, least: weight, most: weight })
        else if (weight < known.least) Object.assign(known, { dark: at, least: weight })
        else if (weight > known.most) Object.assign(known, { light: at, most: weight })
      }
    }
    const kept = [...found.values()].flatMap(({ dark, light }) =>
      dark === light ? [dark] : [dark, light],
    )
    return kept.map((at) => ({
      ...fromBytes([data[at]!, data[at + 1]!, data[at + 2]!]),
      alpha: data[at + 3]! / 255,
    }))
  }
  return { size, position, colorsIn }
}
