import * as z from 'zod'
import { states } from '../traits'
import { placeIds, type Use } from '../uses'

/** What tells one part of the uses from another: each member that is given has to hold. */
export const useFilter = z.strictObject({
  place: z.enum(placeIds).optional(),
  /** The page or picture that it stands in, or the frame. */
  doc: z.string().max(80).optional(),
  /** What kind of thing has it. */
  object: z.string().max(40).optional(),
  /** What it paints. */
  paints: z.string().max(20).optional(),
  state: z.enum(states).optional(),
  /** The pair that takes it, by its number. */
  pair: z.number().int().min(0).optional(),
})
export type UseFilter = z.infer<typeof useFilter>

/** What a filter looks at. */
export type Facets = Pick<Use, 'place' | 'object' | 'state'> & {
  readonly doc: string
  /** What it paints, of a colour; else what it is for. */
  readonly paints: string
  readonly pair: number
}

const members = Object.keys(useFilter.shape) as ReadonlyArray<keyof UseFilter>

export const fitsFilter = (filter: UseFilter, facets: Facets): boolean =>
  members.every((member) => filter[member] === undefined || filter[member] === facets[member])

/** Whether all that fits one filter fits another one too. */
export const isWithin = (inner: UseFilter, outer: UseFilter): boolean =>
  members.every((member) => outer[member] === undefined || outer[member] === inner[member])

/** Most rules of one sweep: what was ticked part by part. */
export const mostRules = 200

/**
 * What a person ticked in a dry run: all, but for what rules say (of those that fit a use the last
 * one counts), but for single uses that are ticked otherwise than that.
 */
export const ticksSchema = z.strictObject({
  rules: z
    .array(z.strictObject({ where: useFilter, take: z.boolean() }))
    .max(mostRules)
    .optional(),
  except: z.array(z.string().max(400)).max(100_000).optional(),
})
export type Ticks = z.infer<typeof ticksSchema>

/** Whether nothing was unticked. */
export const areAllTicked = (ticks: Ticks | undefined): boolean =>
  !ticks?.rules?.length && !ticks?.except?.length
export type TickRule = NonNullable<Ticks['rules']>[number]

/** Whether rules tick what they fit. */
export function ruled(rules: readonly TickRule[], facets: Facets): boolean {
  for (let i = rules.length - 1; i >= 0; i -= 1) {
    const { where, take } = rules[i]!
    if (fitsFilter(where, facets)) return take
  }
  return true
}

/** Which hits are ticked. */
export function tickedBy({ rules = [], except = [] }: Ticks) {
  const exceptions = new Set(except)
  return (key: string, facets: Facets) => ruled(rules, facets) !== exceptions.has(key)
}
