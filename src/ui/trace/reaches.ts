import type { Edit, LookTarget } from '@/core/edit'
import { facetRole, type Trace } from '@/core/resolve'
import { roleName, type RoleId } from '@/core/roles'
import {
  isColor,
  paintIn,
  slotName,
  type ColorDecision,
  type SiteDocs,
  type SiteElement,
  type ThemeId,
} from '@/core/site'
import type { Reach } from '@/core/uses'
import { targetOf, type Selection } from '../editor'

/** One answer to "change it for what?": how far it goes, and the edit that would do it. */
export interface ReachOption {
  readonly key: 'element' | 'style' | 'role' | 'everywhere' | 'slot'
  readonly label: string
  readonly count: number
  /** What it holds now, for the chooser. */
  readonly value?: ColorDecision
  /** Undefined for the slot, which is edited in the tray. */
  readonly edit?: (decision: ColorDecision) => Edit
}

/** The role that decides a traced colour where nothing nearer does. */
export function roleOf(trace: Trace, element: SiteElement | undefined): RoleId {
  return trace.state === 'hover' && trace.facet.hover
    ? trace.facet.hover
    : facetRole(trace.facet, element)
}

function ownPaint(element: SiteElement | undefined, trace: Trace): ColorDecision | undefined {
  const own = paintIn(element?.looks, trace.facet, trace.state)
  return own && isColor(own) ? own : undefined
}

/** The ways to change a traced colour, nearest first. */
export function reachOptions(
  docs: SiteDocs,
  selection: Selection,
  theme: ThemeId,
  element: SiteElement | undefined,
  trace: Trace,
  reach: Reach,
): ReachOption[] {
  const { facet, state } = trace
  const role = roleOf(trace, element)
  const { themes, styles, palette } = docs.frame
  const deciding = (on: LookTarget, value: ColorDecision): Edit => ({
    type: 'setLooks',
    settings: [{ on, key: facet.key, state, value }],
  })
  const thing: ReachOption = {
    key: 'element',
    label: element ? 'this element' : 'this section',
    count: 1,
    value: ownPaint(element, trace),
    edit: (decision) => deciding(targetOf(selection), decision),
  }
  const style = element?.style && styles[element.style]
  const styled: ReachOption[] = style
    ? [
        {
          key: 'style',
          label: `element style ${style.name}`,
          count: reach.styles[style.id] ?? 0,
          edit: (decision) => deciding({ style: style.id }, decision),
        },
      ]
    : []
  const inThemes = (
    ids: readonly ThemeId[],
    key: 'role' | 'everywhere',
    label: string,
  ): ReachOption => ({
    key,
    label,
    count: ids.reduce((sum, id) => sum + (reach.roles[`${id}/${role}`] ?? 0), 0),
    value: themes.byId[ids[0]!]?.roles[role],
    edit: (decision) => ({ type: 'setRole', themes: [...ids], role, decision }),
  })
  const name = roleName(role).toLowerCase()
  return [
    thing,
    ...styled,
    inThemes([theme], 'role', `${name} ${themes.byId[theme]?.name ?? ''}`),
    inThemes(themes.order, 'everywhere', `${name} in all themes`),
    ...(trace.slot
      ? [
          {
            key: 'slot' as const,
            label: `the slot ${slotName(palette, trace.slot)} itself`,
            count: reach.slots[trace.slot] ?? 0,
          },
        ]
      : []),
  ]
}
