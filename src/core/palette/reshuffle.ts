import { contrast, fromOklch, mapToGamut, toOklch, type Color } from '../color'
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
const ATTEMPTS = 60

/** The darkest reads on the lightest as text does (WCAG 2.2 §1.4.3, AAA), and something between reads as text, AA. */
function isReadable(colors: readonly Color[]): boolean {
  const byLight = [...colors].sort((a, b) => toOklch(b).l - toOklch(a).l)
  const [lightest, darkest] = [byLight[0]!, byLight.at(-1)!]
  if (contrast(darkest, lightest) < 7) return false
  return colors.length < 3 || byLight.slice(1, -1).some((color) => contrast(color, lightest) >= 4.5)
}

/**
 * New colours for the slots that are not locked, each near the lightness of the
 * colour it replaces, in one harmony; readable ones only. The same colours,
 * locks and seed give the same result. Returns the colours as they were when
 * the locked ones alone rule out anything readable.
 */
export function reshuffle(
  colors: readonly Color[],
  locked: readonly boolean[],
  seed: number,
): Color[] {
  const random = seededRandom(seed)
  const anchor = colors.find((_, i) => locked[i])
  for (let attempt = 0; attempt < ATTEMPTS; attempt += 1) {
    const { hues } = harmonies[CHOICES[Math.floor(random() * CHOICES.length)]!]
    const base = anchor ? toOklch(anchor).h : random() * 360
    const vivid = 0.06 + random() * 0.12
    const candidate = colors.map((color, i) => {
      const [jitter, turn, share] = [random(), random(), random()]
      if (locked[i]) return color
      const { l, c } = toOklch(color)
      const lightness = Math.min(0.975, Math.max(0.17, l + (jitter - 0.5) * 0.08))
      const edge = lightness > 0.88 || lightness < 0.3
      const chroma = edge
        ? 0.008 + share * 0.025
        : Math.max(vivid * (0.5 + share), Math.min(c, 0.2) * 0.6)
      const hue = base + hues[edge ? 0 : Math.floor(turn * hues.length)]!
      return mapToGamut(fromOklch({ l: lightness, c: chroma, h: hue, alpha: 1 }))
    })
    if (isReadable(candidate)) return candidate
  }
  return [...colors]
}
