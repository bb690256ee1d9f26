import {
  colorKey,
  colorOf,
  colorOfKey,
  difference,
  opaqueKey,
  tidyShade,
  type Color,
  type Shade,
} from '../color'
import { canonicalJson, isBound } from '../site'
import type { Use } from '../uses'
import { isKin } from './family'
import type { LooseFrom, SweepFrom, SweepPair } from './pair'

/** What of a use decides whether a pair takes it, and what it becomes. */
export type Sought = Pick<Use, 'decision' | 'color'>

/**
 * How far a use is from what is looked for: 0 for the very colour or slot, a
 * CIEDE2000 distance for a near one, undefined for no match. An opaque colour
 * finds its transparent forms too; a transparent one only itself.
 */
export function distanceTo(from: SweepFrom, use: Sought): number | undefined {
  if ('slot' in from) {
    const { decision } = use
    if (!isBound(decision) || decision.slot !== from.slot) return undefined
    // A pair for one shade goes before one for all of the slot.
    if (!from.shade) return 1
    return sameShade(from.shade, decision.shade) ? 0 : undefined
  }
  if (isBound(use.decision) || !use.color) return undefined
  return distanceToKey(from, colorKey(use.color))
}

/** The same for all loose colours of one key: what is painted alike is found alike. */
export function distanceToKey(from: LooseFrom, key: string): number | undefined {
  const wanted = colorOf(from.value)
  if (!wanted) return undefined
  const wantedKey = colorKey(wanted)
  if (wanted.alpha < 1) return wantedKey === key ? 0 : undefined
  if (key.endsWith('00')) return undefined
  const color = colorOfKey(key)
  if (opaqueKey(wanted) === opaqueKey(color)) return 0
  const gap = difference(colorOfKey(wantedKey), color)
  if (gap <= from.within) return gap
  return isOfFamily(from, wanted, color) ? BEHIND + gap : undefined
}

/** What a person said of the family of a pair, by opaque keys; read once for all uses that are compared with it. */
const said = new WeakMap<LooseFrom, Record<'also' | 'except', ReadonlySet<string>>>()

function saidOf(from: LooseFrom) {
  const known = said.get(from)
  if (known) return known
  const keys = (texts: readonly string[] = []) =>
    new Set(
      texts.flatMap((text) => {
        const color = colorOf(text)
        return color ? [opaqueKey(color)] : []
      }),
    )
  const read = { also: keys(from.also), except: keys(from.except) }
  said.set(from, read)
  return read
}

/** Whether a colour moves along with the family of a pair: by what a person said of it, else by the rule. */
function isOfFamily(from: LooseFrom, head: Color, color: Color): boolean {
  if (!from.family) return false
  const { also, except } = saidOf(from)
  const key = opaqueKey(color)
  return also.has(key) || (!except.has(key) && isKin(head, color))
}

/** Whoever moves along with a family gives way to a pair of its own, however far that looks. */
const BEHIND = 1000

/** Whether a loose colour is not looked for itself, but moves along with one that is. */
export const isMovedAlong = (from: LooseFrom, key: string) =>
  (distanceToKey(from, key) ?? 0) >= BEHIND

const sameShade = (a: Shade, b: Shade | undefined) =>
  canonicalJson(tidyShade(a) ?? {}) === canonicalJson(tidyShade(b) ?? {})

/** The pair that takes a use: of those that match, the nearest; of equals, the first. */
export function pairFor(pairs: readonly SweepPair[], use: Sought): number | undefined {
  let best: { index: number; distance: number } | undefined
  pairs.forEach(({ from }, index) => {
    const distance = distanceTo(from, use)
    if (distance === undefined || (best && best.distance <= distance)) return
    best = { index, distance }
  })
  return best?.index
}
