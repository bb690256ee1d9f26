import { colorKey, colorOf, colorOfKey, difference } from '../color'
import { isBound } from '../site'
import type { Use } from '../uses'
import type { SweepFrom, SweepPair } from './pair'

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
  return distanceToKey(from, colorKey(use.color))
}

/** The same for all loose colours of one key: what is painted alike is found alike. */
export function distanceToKey(
  from: Extract<SweepFrom, { readonly value: string }>,
  key: string,
): number | undefined {
  const wanted = colorOf(from.value)
  if (!wanted) return undefined
  const wantedKey = colorKey(wanted)
  if (wanted.alpha < 1) return wantedKey === key ? 0 : undefined
  if (key.endsWith('00')) return undefined
  if (wantedKey.slice(0, 6) === key.slice(0, 6)) return 0
  const gap = difference(colorOfKey(wantedKey), colorOfKey(key))
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
