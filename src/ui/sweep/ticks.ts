import type { DryRun, HitCount, HitLine } from '@/core/payloads'
import type { Ticks } from '@/core/sweep'
import type { PlaceId } from '@/core/uses'

/** One hit that is ticked otherwise than its place. */
type Exception = Pick<HitLine, 'place' | 'binds'>

/**
 * What is ticked in a dry run: every place as a whole, but for exceptions. So the
 * numbers follow from counts, and no list of hits is needed for them.
 */
export interface TickState {
  readonly off: ReadonlySet<PlaceId>
  readonly exceptions: ReadonlyMap<string, Exception>
}

export const allTicked: TickState = { off: new Set(), exceptions: new Map() }

export const isTicked = ({ off, exceptions }: TickState, { key, place }: HitLine): boolean =>
  off.has(place) === exceptions.has(key)

/** Ticks one hit, or takes its tick away. */
export function tickHit(ticks: TickState, hit: HitLine, take: boolean): TickState {
  const exceptions = new Map(ticks.exceptions)
  if (take === !ticks.off.has(hit.place)) exceptions.delete(hit.key)
  else exceptions.set(hit.key, { place: hit.place, binds: hit.binds })
  return { ...ticks, exceptions }
}

/** Ticks all of a place, or none of it. */
export function tickPlace(ticks: TickState, place: PlaceId, take: boolean): TickState {
  const off = new Set(ticks.off)
  if (take) off.delete(place)
  else off.add(place)
  const exceptions = [...ticks.exceptions].filter(([, each]) => each.place !== place)
  return { off, exceptions: new Map(exceptions) }
}

/** How many hits of a place are ticked, and how many of them tie to a slot or let loose. */
export function tickedIn({ off, exceptions }: TickState, { place, ...all }: HitCount) {
  const own = [...exceptions.values()].filter((each) => each.place === place)
  const some = {
    count: own.length,
    bind: own.filter(({ binds }) => binds > 0).length,
    loosen: own.filter(({ binds }) => binds < 0).length,
  }
  if (off.has(place)) return some
  return {
    count: all.count - some.count,
    bind: all.bind - some.bind,
    loosen: all.loosen - some.loosen,
  }
}

/** What the ticked hits of a run come to. */
export function totalsOf(run: DryRun, ticks: TickState) {
  const each = run.places.map((place) => tickedIn(ticks, place))
  const sum = (key: 'count' | 'bind' | 'loosen') => each.reduce((all, own) => all + own[key], 0)
  const looseAfter = run.looseBefore - sum('bind') + sum('loosen')
  return { count: sum('count'), bind: sum('bind'), looseAfter }
}

/** The same as a sweep is told. */
export function ticksOf({ off, exceptions }: TickState): Ticks {
  const keys = (isOff: boolean) =>
    [...exceptions].flatMap(([key, { place }]) => (off.has(place) === isOff ? [key] : []))
  const [without, but] = [keys(false), keys(true)]
  return {
    ...(without.length ? { without } : {}),
    ...(off.size ? { withoutPlaces: [...off] } : {}),
    ...(but.length ? { but } : {}),
  }
}
