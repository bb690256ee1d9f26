import { colorOf } from '../../color'
import { isFeature, type Property } from '../../elements'
import { decisionsInside, isBound, type ColorDecision, type Looks } from '../../site'
import { states, stateWords, type TraitId } from '../../traits'
import type { Use, UsePaints, UsePath } from '../use'

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

type Thing = Pick<Use, 'place' | 'doc' | 'path' | 'label' | 'owner' | 'object'>

/** What the traits that hold colours paint with them. */
const traitPaints: Partial<Readonly<Record<TraitId, UsePaints>>> = {
  shadow: 'shadow',
  underline: 'line',
}

const paintsOf = (property: Property): UsePaints =>
  isFeature(property) ? (traitPaints[property.trait] ?? 'other') : property.paints

/** What tells one of several decisions in a value from the others: `stop 2`, `shadow 1`. */
function whichWords(inside: UsePath): string {
  const [list, index] = inside
  if (typeof index !== 'number') return ''
  return `, ${list === 'stops' ? 'stop' : 'shadow'} ${index + 1}`
}

/** The colour decisions of a thing, by its properties and states. */
export function lookUses(
  looks: Looks | undefined,
  properties: readonly Property[],
  base: Thing,
): Use[] {
  if (!looks) return []
  return properties.flatMap((property) =>
    states.flatMap((state) => {
      const value = looks[property.key]?.[state]
      if (typeof value !== 'object') return []
      const words = stateWords[state]
      const label = `${base.label}, ${property.label.toLowerCase()}${words ? `, ${words}` : ''}`
      return decisionsInside(value).map(({ path, decision }) =>
        decisionUse(decision, {
          ...base,
          path: [...base.path, property.key, state, ...path],
          paints: paintsOf(property),
          property: property.key,
          state,
          label: `${label}${whichWords(path)}`,
        }),
      )
    }),
  )
}

/** How many uses the decisions of a thing come to. */
export function countLookUses(looks: Looks | undefined, properties: readonly Property[]): number {
  if (!looks) return 0
  let count = 0
  for (const { key } of properties) {
    for (const state of states) {
      const value = looks[key]?.[state]
      if (typeof value === 'object') count += decisionsInside(value).length
    }
  }
  return count
}
