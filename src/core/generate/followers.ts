import { groundsOfRole, kindOf } from '../elements'
import { facetRole, themeReading } from '../resolve'
import { followersOf, roleIds, type RoleId } from '../roles'
import {
  canonicalJson,
  childrenOf,
  type Body,
  type ColorDecision,
  type ElementId,
  type Frame,
  type Palette,
  type SiteElement,
  type State,
  type Theme,
  type ThemeRoles,
} from '../site'
import { roleMaker, type ThemeSource } from './generated'
import type { AnewCell } from './regeneration'

/** What goes along with a role when a person decides it, and what could no longer be read on it. */
function concerned(palette: Palette, theme: Theme, role: RoleId): RoleId[] {
  const standing = roleIds.filter((each) => groundsOfRole(each).includes(role))
  const unread = standing.filter((each) => themeReading(palette, theme, each)?.passes === false)
  const first = [...followersOf(role), ...unread]
  const all = new Set([...first, ...first.flatMap(followersOf)])
  // What a person decided stays, as long as it can be read.
  const stays = (each: RoleId) =>
    theme.hand.includes(each) && themeReading(palette, theme, each)?.passes !== false
  return [...all].filter((each) => each !== role && !stays(each))
}

/** Whether anything can go along with a role. */
export const hasFollowers = (role: RoleId): boolean =>
  followersOf(role).length > 0 || roleIds.some((each) => groundsOfRole(each).includes(role))

/**
 * What a theme's followers of a role become when a person decides it: label,
 * border and pointer colours of a fill, words that could no longer be read on a
 * card. They are generated around the decision, so every pair reads (WCAG 2.2 AA)
 * wherever any can; what a person decided stays, as long as it can be read. Only
 * those that become other than they are; none without a
 * filled slot, and none for most roles.
 */
export function followers(
  source: ThemeSource,
  theme: Theme,
  role: RoleId,
  decision: ColorDecision,
): Partial<ThemeRoles> {
  const { palette } = source
  const decided = { ...theme, roles: { ...theme.roles, [role]: decision } }
  const free = concerned(palette, decided, role)
  const make = free.length > 0 ? roleMaker(source) : undefined
  if (!make) return {}
  const { ground, ...others } = decided.roles
  const given = Object.fromEntries(
    Object.entries(others).filter(([each]) => !free.includes(each as RoleId)),
  )
  const made = make(ground, given)
  const after = { ...decided, roles: made }
  // Where nothing reads on ground and card alike, another colour would help nobody: it stays what it was.
  const helps = (each: RoleId) =>
    followersOf(role).includes(each) || themeReading(palette, after, each)?.passes !== false
  const changed = free.filter(
    (each) => helps(each) && canonicalJson(made[each]) !== canonicalJson(theme.roles[each]),
  )
  return Object.fromEntries(changed.map((each) => [each, made[each]]))
}

/** Cells of themes that go along with cells which a person decides, generated; none of those that are decided themselves. */
export function cellsAlong(
  frame: ThemeSource & Pick<Frame, 'themes'>,
  cells: readonly AnewCell[],
): AnewCell[] {
  const decided = new Set(cells.map(({ theme, role }) => `${theme}/${role}`))
  return cells.flatMap(({ theme: id, role, decision }) => {
    const theme = frame.themes.byId[id]
    if (!theme) return []
    return Object.entries(followers(frame, theme, role, decision)).flatMap(([each, own]) =>
      decided.has(`${id}/${each}`)
        ? []
        : [{ theme: id, role: each as RoleId, decision: own, hand: false }],
    )
  })
}

/** A colour of an element as a follower sets it; without `element` it is the deciding element's own. */
export interface FollowingSetting {
  readonly element?: ElementId
  readonly facet: string
  readonly state: State
  readonly paint: ColorDecision
}

function settingsOf(element: SiteElement, roles: Partial<ThemeRoles>): FollowingSetting[] {
  // A part of a border follows the whole of it.
  const whole = kindOf(element.kind).facets.filter(({ within }) => !within)
  return whole.flatMap((facet) => {
    const [rest, hover] = [roles[facetRole(facet, element)], facet.hover && roles[facet.hover]]
    return [
      ...(rest ? [{ facet: facet.key, state: 'rest' as const, paint: rest }] : []),
      ...(hover ? [{ facet: facet.key, state: 'hover' as const, paint: hover }] : []),
    ]
  })
}

/** Followers as colours of one element, and of all that lies within it, but for the colour that was decided. */
export function followingOn(
  body: Body,
  element: SiteElement,
  decided: { readonly facet: string; readonly state: State },
  roles: Partial<ThemeRoles>,
): FollowingSetting[] {
  const own = settingsOf(element, roles).filter(
    ({ facet, state }) => facet !== decided.facet || state !== decided.state,
  )
  const within = (parent: SiteElement): SiteElement[] =>
    childrenOf(body, parent.children ?? []).flatMap((child) => [child, ...within(child)])
  const inside = within(element).flatMap((child) =>
    settingsOf(child, roles).map((setting) => ({ ...setting, element: child.id })),
  )
  return [...own, ...inside]
}
