import {
  encode,
  linearize,
  linearToOklab,
  oklabToLinear,
  toBytes,
  toOklch,
  type Color,
  type Triple,
} from '../color'
import { mixtureFinder } from './flat-colors'
import type { PixelBytes } from './pixel-bytes'

/** One colour of a picture becomes another one, and with it all that is of its hue. */
export interface Recoloring {
  readonly from: Color
  readonly to: Color
  /** How far from the hue of `from` counts, in degrees of OKLCH, 1…90. */
  readonly tolerance: number
}

/** OKLCH chroma below which a colour has no hue that could be told: a photograph of grey is full of faint ones. */
const FAINT = 0.01
const CLEAR = 0.03
/** How far the soft edge reaches beyond the tolerance, as a share of it. */
const SOFT = 0.5

const smooth = (low: number, high: number, value: number): number => {
  const t = Math.min(1, Math.max(0, (value - low) / (high - low)))
  return t * t * (3 - 2 * t)
}

const RADIANS = Math.PI / 180

/** A turn as an angle of −180…180 degrees. */
const folded = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180

const LINEAR = Float64Array.from({ length: 256 }, (_, byte) => linearize(byte / 255))

/** Whether a colour can be looked for in pictures: a grey is in all of them. */
export const canRecolor = (from: Color): boolean => toOklch(from).c >= CLEAR

/** OKLab that is brought into sRGB by taking chroma from it: hue and lightness stay. */
function intoBytes(l: number, a: number, b: number): Triple {
  const linear = (share: number) => oklabToLinear(l, a * share, b * share)
  const fits = (rgb: Triple) => rgb.every((each) => each >= -1e-4 && each <= 1 + 1e-4)
  let rgb = linear(1)
  if (!fits(rgb)) {
    let [low, high] = [0, 1]
    for (let i = 0; i < 12; i += 1) {
      const middle = (low + high) / 2
      if (fits(linear(middle))) low = middle
      else high = middle
    }
    rgb = linear(low)
  }
  const byte = (each: number) => Math.round(255 * Math.min(1, Math.max(0, encode(each))))
  return [byte(rgb[0]), byte(rgb[1]), byte(rgb[2])]
}

/** What a recolouring does to one pixel. */
interface OfPixel {
  /** 0…1: how much of it is of the hue that is looked for. */
  readonly share: (r: number, g: number, b: number) => number
  readonly recolored: (r: number, g: number, b: number, share: number) => Triple
}

/**
 * The hue that is looked for is told in OKLCH (Björn Ottosson, “A perceptual color space for
 * image processing”, 2020), with a soft edge. What is marked turns by the angle from one hue to
 * the other, its chroma grows or shrinks by their ratio, and its lightness goes along a curve
 * through black, white and the two colours: so light and shadow are kept, and the colour itself
 * comes out as the other one.
 */
function ofPixel({ from, to, tolerance }: Recoloring): OfPixel {
  const [source, target] = [toOklch(from), toOklch(to)]
  const within = (value: number) => Math.min(0.98, Math.max(0.02, value))
  const curve = Math.log(within(target.l)) / Math.log(within(source.l))
  const ratio = target.c / Math.max(source.c, CLEAR)
  const hasHue = target.c >= 0.004
  const turn = hasHue ? folded(target.h - source.h) * RADIANS : 0
  const [cos, sin] = [Math.cos(turn) * ratio, Math.sin(turn) * ratio]
  return {
    share(r, g, b) {
      const [, labA, labB] = linearToOklab(LINEAR[r]!, LINEAR[g]!, LINEAR[b]!)
      const chroma = Math.hypot(labA, labB)
      if (chroma <= FAINT) return 0
      const gap = Math.abs(folded(Math.atan2(labB, labA) / RADIANS - source.h))
      const ofHue = 1 - smooth(tolerance, tolerance * (1 + SOFT), gap)
      return ofHue === 0 ? 0 : ofHue * smooth(FAINT, CLEAR, chroma)
    },
    recolored(r, g, b, share) {
      const [l, labA, labB] = linearToOklab(LINEAR[r]!, LINEAR[g]!, LINEAR[b]!)
      const mixed = (before: number, after: number) => before + (after - before) * share
      return intoBytes(
        mixed(l, l <= 0 ? 0 : l ** curve),
        mixed(labA, labA * cos - labB * sin),
        mixed(labB, labA * sin + labB * cos),
      )
    },
  }
}

/** What was asked of a pixel last; neighbours are often alike. */
function remembering<T>(ask: (r: number, g: number, b: number) => T) {
  let [key, answer] = [-1, undefined as T | undefined]
  return (r: number, g: number, b: number): T => {
    const next = (r << 16) | (g << 8) | b
    if (next !== key) [key, answer] = [next, ask(r, g, b)]
    return answer as T
  }
}

/** What a pixel becomes, and how much of it is marked, 0…1. */
type Becoming = readonly [share: number, color: Triple]

function becomingOf(recoloring: Recoloring): (r: number, g: number, b: number) => Becoming {
  const { share, recolored } = ofPixel(recoloring)
  const [source, target] = [recoloring.from, recoloring.to].map(toBytes) as [Triple, Triple]
  const isSource = (r: number, g: number, b: number) =>
    r === source[0] && g === source[1] && b === source[2]
  return (r, g, b) => {
    const own = share(r, g, b)
    if (own === 0) return [0, [r, g, b]]
    // The colour itself becomes the other to the byte, whatever rounding says.
    return [own, isSource(r, g, b) ? target : recolored(r, g, b, own)]
  }
}

const keyOf = ([r, g, b]: Triple) => (r << 16) | (g << 8) | b

/**
 * What the pixels of a drawing become: along the edges of its flat colours they are mixtures, and
 * become the same mixture of what those become. By its hue alone a faint mixture would keep the old
 * colour as a fringe.
 */
function remixing(
  flat: readonly Triple[],
  becoming: (r: number, g: number, b: number) => Becoming,
): (r: number, g: number, b: number) => Becoming {
  const after = flat.map((each) => becoming(...each))
  if (after.every(([share]) => share === 0)) return becoming
  const isFlat = new Set(flat.map(keyOf))
  const mixtureOf = mixtureFinder(flat, (place) => after[place]![0] > 0)
  return (r, g, b) => {
    const mixture = isFlat.has(keyOf([r, g, b])) ? undefined : mixtureOf(r, g, b)
    if (!mixture) return becoming(r, g, b)
    const [one, other] = [after[mixture.first]!, after[mixture.second]!]
    const mixed = (x: number, y: number) => y + (x - y) * mixture.share
    const channel = (i: 0 | 1 | 2) => Math.round(mixed(one[1][i], other[1][i]))
    return [mixed(one[0], other[0]), [channel(0), channel(1), channel(2)]]
  }
}

/**
 * Recolours pixels where they stand, `start` to `end` of them; alpha stays, and what is not of the
 * hue stays to the byte, but for the edges between the `flat` colours of a drawing. Returns how many
 * pixels it marked, each by its share, seen ones only.
 */
export function pixelRecolorer(
  recoloring: Recoloring,
  flat: readonly Triple[] = [],
): (data: PixelBytes, start: number, end: number) => number {
  const become = remembering(remixing(flat, becomingOf(recoloring)))
  return (data, start, end) => {
    let marked = 0
    for (let i = start * 4; i < end * 4; i += 4) {
      const alpha = data[i + 3]!
      if (alpha === 0) continue
      const [own, [r, g, b]] = become(data[i]!, data[i + 1]!, data[i + 2]!)
      if (own === 0) continue
      marked += (own * alpha) / 255
      data[i] = r
      data[i + 1] = g
      data[i + 2] = b
    }
    return marked
  }
}

/** How much of each pixel would be recoloured, 0…255. */
export function markedArea(
  recoloring: Recoloring,
  data: PixelBytes,
  flat: readonly Triple[] = [],
): Uint8ClampedArray {
  const become = remembering(remixing(flat, becomingOf(recoloring)))
  const marked = new Uint8ClampedArray(data.length / 4)
  for (let i = 0; i < marked.length; i += 1) {
    const at = i * 4
    marked[i] = become(data[at]!, data[at + 1]!, data[at + 2]!)[0] * data[at + 3]!
  }
  return marked
}
