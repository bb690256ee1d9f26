import type { Edit, LookSetting, LookTarget } from '@/core/edit'
import { baseStyle, isFeature, sourceOf } from '@/core/elements'
import { baseOfThing, facetRole, propertiesOfThing, styleChain, type Spot } from '@/core/resolve'
import { roleName, type RoleId } from '@/core/roles'
import {
  bodyOf,
  own,
  slotName,
  type ColorDecision,
  type LookValue,
  type SiteElement,
  type StyleId,
  type ThemeId,
} from '@/core/site'
import { isTaken, settings, type SettingId } from '@/core/traits'
import { changedByStyle, type Look, type Reach } from '@/core/uses'
import { targetOf, type Selection } from '../editor'
import { deciderOf, type Traced } from './traced'

/** How far a change goes. */
export type ReachKind =
  'element' | 'chosen' | 'style' | 'base' | 'role' | 'everywhere' | 'slot' | 'setting'

/** One answer to "change it for what?": how far it goes, and the edit that would do it. */
export interface ReachOption {
  readonly kind: ReachKind
  /** Tells it from the others. */
  readonly key: string
  readonly label: string
  /** How many things change, and what they are. */
  readonly count: number
  readonly of: 'element' | 'section' | 'use'
  /** What it holds now, for the chooser. */
  readonly value?: LookValue
  /** Undefined for the slot, which is edited in the tray. */
  readonly edit?: (value: LookValue) => Edit
  /** Takes away what it holds, so that what is farther away counts again; only where it holds something that may go. */
  readonly reset?: Edit
  /** Where it would be set, for those that hold looks. */
  readonly on?: LookTarget
}

/** What a change is asked for: a property of something that stands on the page. */
export interface Asking {
  readonly spot: Spot
  readonly selection: Selection
  /** What is chosen besides. */
  readonly also: readonly Selection[]
  readonly element?: SiteElement
  readonly trace: Traced
  readonly reach: Reach
  /** How all things of the site look, to count those that a change of a style changes. */
  readonly looks: readonly Look[]
  /** Things by the site-wide setting that they follow. */
  readonly settingReach: Readonly<Partial<Record<SettingId, number>>>
}

/** The role that decides a traced colour where nothing nearer does. */
export function roleOf({ color, state }: Traced, element: SiteElement | undefined): RoleId {
  const { facet } = color!
  return state === 'hover' && facet.hover ? facet.hover : facetRole(facet, element)
}

/** An option that decides the looks of one or several holders. */
function holding(
  { element, trace: { property, state, chain } }: Asking,
  kind: ReachKind,
  label: string,
  count: number,
  targets: readonly LookTarget[],
): ReachOption {
  const [on] = targets
  const setting = (target: LookTarget, value: LookValue | null): LookSetting => ({
    on: target,
    key: property.key,
    state,
    value,
  })
  const held = chain.find((decider) => {
    if (decider.state !== state || decider.key !== property.key) return false
    if (kind === 'element' || kind === 'chosen') {
      return decider.at === 'element' || decider.at === 'section'
    }
    return 'style' in decider && 'style' in on! && decider.style === on.style
  })
  const edit = (value: LookValue | null): Edit => ({
    type: 'setLooks',
    settings: targets.map((target) => setting(target, value)),
  })
  return {
    kind,
    key: 'style' in on! ? `style:${on.style}` : kind,
    label,
    count,
    of: element ? 'element' : 'section',
    on,
    edit,
    ...(held?.set === undefined ? {} : { value: held.set, reset: edit(null) }),
  }
}

/** The others that are chosen and have the property as well. */
function alsoWith({ spot, also, trace }: Asking): LookTarget[] {
  return also.flatMap((each): LookTarget[] => {
    const body = bodyOf(spot.docs, each.doc)
    const element = each.element && body && own(body.elements, each.element)
    const properties = propertiesOfThing(element || undefined)
    return properties.some(({ key }) => key === trace.property.key) ? [targetOf(each)] : []
  })
}

function nearOptions(asking: Asking): ReachOption[] {
  const { selection, element, spot, looks, trace } = asking
  const { styles } = spot.docs.frame
  const here = holding(asking, 'element', element ? 'this element' : 'this section', 1, [
    targetOf(selection),
  ])
  const also = alsoWith(asking)
  const chosen = also.length
    ? [
        holding(asking, 'chosen', 'all that are chosen', also.length + 1, [
          targetOf(selection),
          ...also,
        ]),
      ]
    : []
  const counted = (id: string) =>
    changedByStyle(spot.docs.frame, looks, {
      style: id,
      kind: element?.kind ?? 'section',
      key: trace.property.key,
      state: trace.state,
    })
  const base = baseOfThing(spot, element)
  const given = element ? styleChain(styles, element.style) : []
  const ofStyles = given
    .filter(({ id }) => !baseStyle(id))
    .map(({ id, name }) =>
      holding(asking, 'style', `element style ${name}`, counted(id), [{ style: id }]),
    )
  // The ground of sections is decided by themes alone.
  if (!element && !isFeature(trace.property)) return [here, ...chosen]
  const common = trace.property.common
  const everyone = [base.id, ...(common ? [common] : [])].map((id) =>
    holding(asking, 'base', `every ${baseStyle(id)!.label.toLowerCase()}`, counted(id), [
      { style: id as StyleId },
    ]),
  )
  return [here, ...chosen, ...ofStyles, ...everyone]
}

function themeOptions({ spot, element, trace, reach }: Asking): ReachOption[] {
  const { themes, palette } = spot.docs.frame
  const role = roleOf(trace, element)
  const name = roleName(role).toLowerCase()
  const inThemes = (ids: readonly ThemeId[], kind: 'role' | 'everywhere', label: string) => ({
    kind,
    key: kind,
    label,
    of: 'element' as const,
    count: ids.reduce((sum, id) => sum + (reach.roles[`${id}/${role}`] ?? 0), 0),
    value: themes.byId[ids[0]!]?.roles[role],
    edit: (value: LookValue): Edit => ({
      type: 'setRole',
      themes: [...ids],
      role,
      decision: value as ColorDecision,
    }),
  })
  const { slot, facet } = trace.color!
  return [
    // A part of a border, or the ground on phones alone, is no role of a theme.
    ...(facet.within
      ? []
      : [
          inThemes([spot.theme.id], 'role', `${name} ${spot.theme.name}`),
          inThemes(themes.order, 'everywhere', `${name} in all themes`),
        ]),
    ...(slot
      ? [
          {
            kind: 'slot' as const,
            key: 'slot',
            label: `the slot ${slotName(palette, slot)} itself`,
            of: 'use' as const,
            count: reach.slots[slot] ?? 0,
          },
        ]
      : []),
  ]
}

function siteOptions({ spot, element, trace, settingReach }: Asking): ReachOption[] {
  const { property, state } = trace
  if (!isFeature(property) || state !== 'rest') return []
  const source = sourceOf(property, property.common ?? baseOfThing(spot, element).id)
  if (!source || !('setting' in source)) return []
  const { setting } = source
  if (!isTaken(spot.docs.frame.settings, setting)) return []
  return [
    {
      kind: 'setting',
      key: 'setting',
      label: `site-wide: ${settings[setting].label.toLowerCase()}`,
      of: 'element',
      count: settingReach[setting] ?? 0,
      value: spot.docs.frame.settings[setting] as LookValue,
      edit: (value) => ({ type: 'setSettings', settings: { [setting]: value } }),
    },
  ]
}

/** The ways to change a property, nearest first. */
export const reachOptions = (asking: Asking): ReachOption[] => [
  ...nearOptions(asking),
  ...(asking.trace.color ? themeOptions(asking) : siteOptions(asking)),
]

/** How far a change goes where nobody said how far: as far as what decides now; shapes that nobody decided, for all of the kind. */
export function usualReach(options: readonly ReachOption[], trace: Traced): ReachOption {
  const decider = deciderOf(trace)
  const wanted = (option: ReachOption): boolean => {
    switch (decider?.at) {
      case 'element':
      case 'section':
        return option.kind === 'element'
      case 'style':
      case 'base':
        return option.key === `style:${decider.style}`
      case 'theme':
        return option.kind === 'role'
      case 'setting':
        return option.kind === 'setting'
      default:
        return option.kind === 'base'
    }
  }
  return options.find(wanted) ?? options[0]!
}
