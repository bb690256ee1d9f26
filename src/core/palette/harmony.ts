import { fromOklch, mapToGamut, toOklch, type Color, type Oklch } from '../color'

/** The ways to make a palette of one colour, each by the hues it takes (degrees from the base on the OKLCH circle). */
export const harmonies = {
  single: { label: 'One hue', hues: [0] },
  complementary: { label: 'Complementary', hues: [0, 180] },
  analogous: { label: 'Analogous', hues: [0, 30, -30] },
  triadic: { label: 'Triadic', hues: [0, 120, 240] },
  split: { label: 'Split-complementary', hues: [0, 150, 210] },
  grey: { label: 'Greyscale', hues: [0] },
} as const

export type HarmonyId = keyof typeof harmonies

/** Lightness of the lightest and of the darkest colour of a palette, OKLCH L. */
const [LIGHTEST, DARKEST] = [0.965, 0.22]

/** Chroma that suits a lightness: full in the middle, little near white and black. */
function chromaAt(l: number, base: Oklch): number {
  const reach = Math.min(1, (1 - l) / Math.max(0.05, 1 - base.l), l / Math.max(0.05, base.l))
  return base.c * Math.max(0.06, reach) ** 1.4
}

/**
 * A whole palette of `count` colours (2…64) around one: even steps of lightness
 * from near-white to near-black, the base colour itself among them at the step
 * nearest to it, the hues of the harmony taken in turn by the middle steps.
 * Even steps are even in OKLCH, so they look even.
 */
export function harmonyPalette(base: Color, harmony: HarmonyId, count: number): Color[] {
  const origin = toOklch(base)
  const { hues } = harmonies[harmony]
  const lightness = Array.from(
    { length: count },
    (_, i) => LIGHTEST + ((DARKEST - LIGHTEST) * i) / Math.max(1, count - 1),
  )
  const own = nearestStep(lightness, origin.l)
  let turnOf = 0
  return lightness.map((l, i) => {
    if (i === own) return mapToGamut(harmony === 'grey' ? fromOklch({ ...origin, c: 0 }) : base)
    const edge = i === 0 || i === count - 1
    if (!edge) turnOf += 1
    const hue = origin.h + hues[edge ? 0 : turnOf % hues.length]!
    const c = harmony === 'grey' ? 0 : chromaAt(l, origin)
    return mapToGamut(fromOklch({ l, c, h: hue, alpha: 1 }))
  })
}

/** The middle step nearest in lightness; the ends stay near-white and near-black. */
function nearestStep(lightness: readonly number[], l: number): number {
  const inner = lightness.map((step, i) => [Math.abs(step - l), i] as const)
  const candidates = inner.length > 2 ? inner.slice(1, -1) : inner
  return candidates.sort((a, b) => a[0] - b[0])[0]![1]
}
