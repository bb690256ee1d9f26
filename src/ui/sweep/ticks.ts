import type { HitLine } from '@/core/payloads'
import {
  fitsFilter,
  isWithin,
  mostRules,
  ruled,
  totalOf,
  type Cell,
  type Facets,
  type TickRule,
  type Ticks,
  type UseFilter,
} from '@/core/sweep'

/** One hit that is ticked otherwise than rules say. */
type Exception = Facets & Pick<HitLine, 'binds'>

/**
 * What is ticked in a dry run: what rules say, part by part, but for exceptions. So the numbers
 * follow from counts, and no list of hits is needed for them.
 */
export interface TickState {
  readonly rules: readonly TickRule[]
  readonly exceptions: ReadonlyMap<string, Exception>
}

export const allTicked: TickState = { rules: [], exceptions: new Map() }

export const isTicked = ({ rules, exceptions }: TickState, hit: HitLine): boolean =>
  ruled(rules, hit) !== exceptions.has(hit.key)

/** Ticks one hit, or takes its tick away. */
export function tickHit(ticks: TickState, hit: HitLine, take: boolean): TickState {
  const exceptions = new Map(ticks.exceptions)
  if (take === ruled(ticks.rules, hit)) exceptions.delete(hit.key)
  else exceptions.set(hit.key, hit)
  return { ...ticks, exceptions }
}

/** Ticks all that fits a filter, or nothing of it; undefined where that would be a rule too many. */
export function tickPart(
  { rules, exceptions }: TickState,
  where: UseFilter,
  take: boolean,
): TickState | undefined {
  const others = rules.filter((rule) => !isWithin(rule.where, where))
  if (others.length >= mostRules) return undefined
  const left = [...exceptions].filter(([, each]) => !fitsFilter(where, each))
  return { rules: [...others, { where, take }], exceptions: new Map(left) }
}

const counts = ({ binds }: Exception) => ({
  count: 1,
  bind: Number(binds > 0),
  loosen: Number(binds < 0),
})

/** How many of the hits in some cells that fit a filter are ticked, and how many of them tie to a slot or let loose. */
export function tickedIn(
  { rules, exceptions }: TickState,
  cells: readonly Cell[],
  where: UseFilter = {},
) {
  const ticked = totalOf(cells.filter((cell) => fitsFilter(where, cell) && ruled(rules, cell)))
  const own = [...exceptions.values()].filter((each) => fitsFilter(where, each))
  const [more, less] = [false, true].map((was) =>
    totalOf(own.filter((each) => ruled(rules, each) === was).map(counts)),
  ) as [ReturnType<typeof totalOf>, ReturnType<typeof totalOf>]
  return {
    count: ticked.count + more.count - less.count,
    bind: ticked.bind + more.bind - less.bind,
    loosen: ticked.loosen + more.loosen - less.loosen,
  }
}

/** What the ticked hits of a run come to. */
export function totalsOf(looseBefore: number, cells: readonly Cell[], ticks: TickState) {
  const { count, bind, loosen } = tickedIn(ticks, cells)
  return { count, bind, looseAfter: looseBefore - bind + loosen }
}

/** The same as a sweep is told. */
export function ticksOf({ rules, exceptions }: TickState): Ticks {
  return {
    ...(rules.length ? { rules: [...rules] } : {}),
    ...(exceptions.size ? { except: [...exceptions.keys()] } : {}),
  }
}
