import {
  contrast,
  difference,
  fromOklch,
  mapToGamut,
  over,
  toOklch,
  white,
  type Color,
} from '../color'
import { harmonies, type HarmonyId } from './harmony'

/** A small seeded generator (mulberry32): one seed, one sequence of numbers 0…1. */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const CHOICES = Object.keys(harmonies).filter((id) => id !== 'grey') as HarmonyId[]
const ATTEMPTS = 240

/** Colours as they are seen: over the lightest of them, where they can be seen through. */
function seen(colors: readonly Color[]): Color[] {
  const opaque = colors.filter(({ alpha }) => alpha === 1)
  const lightest = [...opaque].sort((a, b) => toOklch(b).l - toOklch(a).l)[0] ?? white
  return colors.map((color) => over(color, lightest))
}

/** The darkest reads on the lightest as text does (WCAG 2.2 §1.4.3, AAA), and something between reads as text, AA. */
function isReadable(colors: readonly Color[]): boolean {
  const byLight = seen(colors).sort((a, b) => toOklch(b).l - toOklch(a).l)
  const [lightest, darkest] = [byLight[0]!, byLight.at(-1)!]
  if (contrast(darkest, lightest) < 7) return false
  return colors.length < 3 || byLight.slice(1, -1).some((color) => contrast(color, lightest) >= 4.5)
}

type Make = (random: () => number) => Color[]

/** Another palette: each colour near the lightness of the one it replaces, as opaque as that, in one harmony. */
const afresh =
  (colors: readonly Color[], stays: readonly boolean[]): Make =>
  (random) => {
    const { hues } = harmonies[CHOICES[Math.floor(random() * CHOICES.length)]!]
    const anchor = colors.find((_, i) => stays[i])
    const base = anchor ? toOklch(anchor).h : random() * 360
    const vivid = 0.06 + random() * 0.12
    return colors.map((color, i) => {
      const [jitter, turn, share] = [random(), random(), random()]
      if (stays[i]) return color
      const { l, c } = toOklch(color)
      const lightness = Math.min(0.975, Math.max(0.17, l + (jitter - 0.5) * 0.08))
      const edge = lightness > 0.88 || lightness < 0.3
      const chroma = edge
        ? 0.008 + share * 0.025
        : Math.max(vivid * (0.5 + share), Math.min(c, 0.2) * 0.6)
      const hue = base + hues[edge ? 0 : Math.floor(turn * hues.length)]!
      return mapToGamut(fromOklch({ l: lightness, c: chroma, h: hue, alpha: color.alpha }))
    })
  }

/** A palette like one that pleased: all hues turned a little together, lightness and chroma moved a little each. */
const alike =
  (colors: readonly Color[], stays: readonly boolean[]): Make =>
  (random) => {
    const turn = (random() - 0.5) * 50
    const depth = 0.8 + random() * 0.45
    return colors.map((color, i) => {
      const [jitter, own] = [random(), random()]
      if (stays[i]) return color
      const { l, c, h, alpha } = toOklch(color)
      const lightness = Math.min(0.985, Math.max(0.14, l + (jitter - 0.5) * 0.06))
      const hue = h + turn + (own - 0.5) * 16
      return mapToGamut(fromOklch({ l: lightness, c: c * depth, h: hue, alpha }))
    })
  }

/** CIEDE2000 between the colours that differ most, from which two palettes are told apart. Common practice, no source. */
const APART = 6

const isApart = (a: readonly Color[], b: readonly Color[]): boolean =>
  a.some((color, i) => difference(color, b[i]!) >= APART)

/**
 * Whole palettes in place of one, as many as asked for where there are so many:
 * the colours that stay stay, alpha is kept, readable ones only, each told from
 * the others. With `like`, they are variations of that palette; else new ones.
 * The same colours, stays and seed give the same palettes.
 */
export function variations(
  colors: readonly Color[],
  stays: readonly boolean[],
  {
    seed,
    count,
    like,
  }: { readonly seed: number; readonly count: number; readonly like?: readonly Color[] },
): Color[][] {
  const random = seededRandom(seed)
  const base = like?.map((color, i) => (stays[i] ? colors[i]! : color))
  const make = base ? alike(base, stays) : afresh(colors, stays)
  const found: Color[][] = []
  for (let attempt = 0; attempt < ATTEMPTS && found.length < count; attempt += 1) {
    const made = make(random)
    if (!isReadable(made)) continue
    if ([...found, colors, ...(base ? [base] : [])].every((other) => isApart(made, other)))
      found.push(made)
  }
  return found
}
