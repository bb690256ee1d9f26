import { isFeature, type Feature, type Property } from '@/core/elements'
import {
  isShown,
  propertiesOfThing,
  traceFacet,
  traceFeature,
  type Decider,
  type FeatureTrace,
  type Spot,
  type Trace,
} from '@/core/resolve'
import { canonicalJson, type LookValue, type SiteElement } from '@/core/site'
import { states, type SettingId, type State, type TraitId } from '@/core/traits'

/** A property of a thing in a state, with the chain of decisions behind it, whether it is a colour or not. */
export interface Traced {
  readonly property: Property
  readonly state: State
  readonly chain: readonly Decider[]
  /** Index of the decision that counts; −1 where nobody decided. */
  readonly decidedBy: number
  readonly value?: LookValue
  readonly setting?: SettingId
  /** What is only known of colours. */
  readonly color?: Trace
}

const ofFeature = (trace: FeatureTrace): Traced => ({
  property: trace.feature,
  state: trace.state,
  chain: trace.chain,
  decidedBy: trace.decidedBy,
  value: trace.value,
  setting: trace.setting,
})

const ofFacet = (trace: Trace): Traced => ({
  property: trace.facet,
  state: trace.state,
  chain: trace.chain,
  decidedBy: trace.decidedBy,
  value: trace.paint,
  color: trace,
})

export function traced(
  spot: Spot,
  element: SiteElement | undefined,
  property: Property,
  state: State,
): Traced {
  return isFeature(property)
    ? ofFeature(traceFeature(spot, element, property, state))
    : ofFacet(traceFacet(spot, element, property, state))
}

export const deciderOf = ({ chain, decidedBy }: Traced): Decider | undefined => chain[decidedBy]

/** Whether something is decided for the state that a property is traced in. */
export const isOfState = (trace: Traced): boolean =>
  trace.state !== 'rest' && (deciderOf(trace)?.state ?? 'rest') !== 'rest'

/** What changes nothing of how a thing looks without it, or makes it look as running text does. */
const NEUTRAL: Partial<Readonly<Record<TraitId, LookValue>>> = {
  spacing: 0,
  case: 'none',
  face: 'body',
  size: { step: 0 },
}

const isNeutral = ({ trait }: Feature, value: LookValue | undefined) =>
  value !== undefined && canonicalJson(NEUTRAL[trait] ?? null) === canonicalJson(value)

/**
 * Whether a property has a line of its own: somebody decided it, and it can be seen. What is as
 * usual for the kind, and a single side that follows the whole border, wait in the fold.
 */
export function hasLine(trace: Traced, element: SiteElement | undefined): boolean {
  const { property } = trace
  const decider = deciderOf(trace)
  // What is usual and follows a setting, such as the face of headings, is the site's decision.
  if (!decider || (decider.at === 'usual' && !trace.setting)) return false
  const isShared = decider.at === 'setting' || decider.at === 'usual'
  if (isFeature(property)) return !isShared || !isNeutral(property, trace.value)
  if (property.within) return decider.key === property.key && decider.at !== 'theme'
  return isShown(property, element) || decider.at === 'element'
}

/** The whole ledger of a thing in a state: its lines, and what waits in the fold. */
export function ledgerOf(spot: Spot, element: SiteElement | undefined, state: State) {
  const all = propertiesOfThing(element).map((property) => traced(spot, element, property, state))
  return {
    lines: all.filter((each) => hasLine(each, element)),
    folded: all.filter((each) => !hasLine(each, element)),
  }
}

/** How many properties look another way in each state than at rest. */
export function differencesIn(
  spot: Spot,
  element: SiteElement | undefined,
): Readonly<Record<State, number>> {
  const all = propertiesOfThing(element)
  const count = (state: State) =>
    all.filter((property) => {
      const trace = traced(spot, element, property, state)
      if (!isOfState(trace) || !hasLine(trace, element)) return false
      const { value } = traced(spot, element, property, 'rest')
      return canonicalJson(value) !== canonicalJson(trace.value)
    }).length
  // At rest nothing looks another way than at rest.
  return Object.fromEntries(
    states.map((state) => [state, state === 'rest' ? 0 : count(state)]),
  ) as Record<State, number>
}
