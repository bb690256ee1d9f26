import { colorKey, colorOf, difference, type Color } from '../color'
import { isBound } from '../site'
import type { Use } from '../uses'
import type { SweepFrom, SweepPair } from './pair'

const opaque = (color: Color): Color => ({ ...color, alpha: 1 })

/**
 * How far a use is from what is looked for: 0 for the very colour or slot, a
 * CIEDE2000 distance for a near one, undefined for no match. An opaque colour
 * finds its transparent forms too; a transparent one only itself.
 */
export function distanceTo(from: SweepFrom, use: Use): number | undefined {
  if ('slot' in from) {
    return isBound(use.decision) && use.decision.slot === from.slot ? 0 : undefined
  }
  if (isBound(use.decision) || !use.color) return undefined
  const wanted = colorOf(from.value)
  if (!wanted) return undefined
  if (wanted.alpha < 1) return colorKey(wanted) === colorKey(use.color) ? 0 : undefined
  if (use.color.alpha === 0) return undefined
  if (colorKey(wanted) === colorKey(opaque(use.color))) return 0
  const gap = difference(wanted, use.color)
  return gap <= from.within ? gap : undefined
}

/** The pair that takes a use: of those that match, the nearest; of equals, the first. */
export function pairFor(pairs: readonly SweepPair[], use: Use): number | undefined {
  let best: { index: number; distance: number } | undefined
  pairs.forEach(({ from }, index) => {
    const distance = distanceTo(from, use)
    if (distance === undefined || (best && best.distance <= distance)) return
    best = { index, distance }
  })
  return best?.index
}
