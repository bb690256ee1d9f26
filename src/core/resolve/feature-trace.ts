import { sourceOf, type Feature, type Source } from '../elements'
import type { SiteElement, TraitValue } from '../site'
import {
  faceSetting,
  traitOfSetting,
  type FaceId,
  type SettingId,
  type Settings,
  type State,
  type TraitId,
} from '../traits'
import { baseOfThing, chainOf, type Decider } from './chain'
import type { Spot } from './spot'

/** The chain of decisions behind a property that is no colour, nearest first. */
export interface FeatureTrace {
  readonly feature: Feature
  readonly state: State
  readonly chain: ReadonlyArray<Decider<TraitValue>>
  /** Index in the chain of the decision that counts; -1 where nobody decided: CSS's own initial value stands. */
  readonly decidedBy: number
  readonly value?: TraitValue
  /** The site-wide setting that it follows: the one that decides, or the one that what was decided names. */
  readonly setting?: SettingId
}

/** The setting behind a value that names one: a face, a step of the scale. */
function behind(trait: TraitId, value: TraitValue | undefined): SettingId | undefined {
  if (trait === 'face' && typeof value === 'string') return faceSetting[value as FaceId]
  if (trait !== 'size' || typeof value !== 'object' || !('step' in value)) return undefined
  return value.step === 0 ? 'textSize' : 'scale'
}

function endOf(settings: Settings, source: Source, state: State, key: string): Decider {
  return 'setting' in source
    ? {
        at: 'setting',
        setting: source.setting,
        state,
        key,
        set: traitOfSetting(settings, source.setting) as TraitValue,
      }
    : { at: 'usual', state, key, set: source.usual as TraitValue }
}

/** What decides a feature in a state where nobody decided it for the thing or its style. */
function endsOf(spot: Spot, element: SiteElement | undefined, feature: Feature, state: State) {
  const base = feature.common ?? baseOfThing(spot, element).id
  const source = state === 'rest' ? sourceOf(feature, base) : feature.inState?.[state]
  return source ? [endOf(spot.docs.frame.settings, source, state, feature.key)] : []
}

/** The trace of one feature in one state. */
export function traceFeature(
  spot: Spot,
  element: SiteElement | undefined,
  feature: Feature,
  state: State,
): FeatureTrace {
  const chain = chainOf(spot, element, feature, state, (each) =>
    endsOf(spot, element, feature, each),
  ) as Array<Decider<TraitValue>>
  const decidedBy = chain.findIndex((decider) => decider.set !== undefined)
  const decider = chain[decidedBy]
  if (!decider) return { feature, state, chain, decidedBy }
  const value = decider.set!
  const setting = decider.at === 'setting' ? decider.setting : behind(feature.trait, value)
  return { feature, state, chain, decidedBy, value, ...(setting ? { setting } : {}) }
}
