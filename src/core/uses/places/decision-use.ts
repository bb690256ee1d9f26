import { colorOf } from '../../color'
import type { Facet } from '../../elements'
import { isBound, isColor, type ColorDecision, type Looks } from '../../site'
import type { Use, UsePath } from '../use'

const STATES = ['rest', 'hover'] as const

/** What a decision of its own comes to as a use, wherever it stands. */
export function writtenDecision(
  decision: ColorDecision,
): Pick<Use, 'text' | 'decision' | 'color' | 'bindable'> {
  if (isBound(decision)) return { text: `slot ${decision.slot}`, decision, bindable: true }
  const text = decision.value
  return { text, decision, color: colorOf(text), bindable: true }
}

/** A decision of its own as a use. */
export const decisionUse = (
  decision: ColorDecision,
  rest: Omit<Use, 'text' | 'decision' | 'color' | 'bindable'>,
): Use => ({ ...rest, ...writtenDecision(decision) })

type Facets = Pick<Use, 'place' | 'doc' | 'path' | 'label' | 'owner' | 'object'>

/** The decisions of an object by its facets, at rest and pointed at. */
export function facetUses(
  looks: Looks | undefined,
  facets: readonly Facet[],
  base: Facets,
): Use[] {
  return facets.flatMap((facet) =>
    STATES.flatMap((state) => {
      const value = looks?.[facet.key]?.[state]
      if (!value) return []
      const path = [...base.path, facet.key, state]
      const under = state === 'hover' ? ', pointer over' : ''
      const label = `${base.label}, ${facet.label.toLowerCase()}${under}`
      const use = (decision: ColorDecision, at: UsePath, words = label) =>
        decisionUse(decision, {
          ...base,
          path: at,
          paints: facet.paints,
          property: facet.key,
          state,
          label: words,
        })
      if (isColor(value)) return [use(value, path)]
      if ('picture' in value) return [use(value.under, [...path, 'under'])]
      return value.stops.map((stop, i) =>
        use(stop.color, [...path, 'stops', i, 'color'], `${label}, stop ${i + 1}`),
      )
    }),
  )
}

/** How many uses the decisions of an object come to. */
export function countFacetUses(looks: Looks | undefined, facets: readonly Facet[]): number {
  if (!looks) return 0
  let count = 0
  for (const { key } of facets) {
    for (const state of STATES) {
      const value = looks[key]?.[state]
      if (value) count += 'stops' in value ? value.stops.length : 1
    }
  }
  return count
}
