import { groundsOfRole } from '../elements'
import { failingRoles } from '../resolve'
import { roleIds, type RoleId } from '../roles'
import {
  canonicalJson,
  themesInOrder,
  type ColorDecision,
  type Frame,
  type Theme,
  type ThemeRoles,
} from '../site'
import { afterDark } from './dark-edition'
import { roleMaker } from './generated'
import type { AnewCell } from './regeneration'

/** A role that a person decided in the same way in most themes. */
interface Common {
  readonly role: RoleId
  readonly decision: ColorDecision
  /** The number of themes that have it so. */
  readonly count: number
}

/** A theme, in one edition, that lacks decisions which most themes share. */
export interface LackingTheme {
  /** As it is in that edition. */
  readonly theme: Theme
  readonly dark: boolean
  readonly common: readonly Common[]
  /** The cells to set: the common decisions that can be read in it, and the colours on top of those, made readable. */
  readonly cells: readonly AnewCell[]
  /** The roles whose common decision could not be read in it. */
  readonly unreadable: readonly RoleId[]
}

const same = (a: ColorDecision, b: ColorDecision) => canonicalJson(a) === canonicalJson(b)

/** What a person decided in the same way in most themes, two or more. Grounds are left out: themes differ by them. */
function commonIn(themes: readonly Theme[]): Common[] {
  return roleIds.flatMap((role) => {
    const by = role === 'ground' ? [] : themes.filter(({ hand }) => hand.includes(role))
    const [first] = by
    if (!first || by.length < 2 || by.length <= themes.length / 2) return []
    const decision = first.roles[role]
    if (!by.every(({ roles }) => same(roles[role], decision))) return []
    return [{ role, decision, count: by.length }]
  })
}

type Make = NonNullable<ReturnType<typeof roleMaker>>

/** A theme with some roles as they are given, and the colours on top of those generated again, unless a person decided them. */
function withGiven(make: Make, theme: Theme, given: Partial<ThemeRoles>): ThemeRoles {
  const isMoved = (role: RoleId) =>
    !theme.hand.includes(role) && groundsOfRole(role).some((on) => on in given)
  const kept = Object.entries(theme.roles).filter(
    ([role]) => role !== 'ground' && !isMoved(role as RoleId),
  )
  return make(theme.roles.ground, { ...Object.fromEntries(kept), ...given })
}

/** Of what most themes have, what a theme can take so that nothing in it becomes hard to read. */
function bearableIn(make: Make, { palette }: Frame, theme: Theme, common: readonly Common[]) {
  const before = new Set(failingRoles(palette, [theme]).map(({ role }) => role))
  let given = common
  while (given.length > 0) {
    const decisions = Object.fromEntries(given.map(({ role, decision }) => [role, decision]))
    const roles = withGiven(make, theme, decisions)
    const failing = failingRoles(palette, [{ ...theme, roles }])
      .map(({ role }) => role)
      .filter((role) => !before.has(role))
    const isAtFault = ({ role }: Common) =>
      failing.some((each) => each === role || groundsOfRole(each).includes(role))
    const rest = given.filter((each) => !isAtFault(each))
    // What fails for another reason than these is not theirs to mend.
    if (rest.length === given.length) return { given, roles }
    given = rest
  }
  return { given, roles: theme.roles }
}

function lackingIn(
  make: Make,
  frame: Frame,
  theme: Theme,
  common: readonly Common[],
  dark: boolean,
): LackingTheme[] {
  const missing = common.filter(
    ({ role, decision }) => !theme.hand.includes(role) && !same(theme.roles[role], decision),
  )
  if (missing.length === 0) return []
  const { given, roles } = bearableIn(make, frame, theme, missing)
  const isGiven = (role: RoleId) => given.some((each) => each.role === role)
  const cells = roleIds
    .filter((role) => !same(roles[role], theme.roles[role]))
    .map((role) => ({
      theme: theme.id,
      role,
      decision: roles[role],
      hand: isGiven(role),
      ...(dark ? { dark: true as const } : {}),
    }))
  const unreadable = missing.map(({ role }) => role).filter((role) => !isGiven(role))
  return [{ theme, dark, common: missing, cells, unreadable }]
}

/**
 * The themes that do not have what a person decided by hand, and alike, in most light themes
 * (two or more): those that were generated since, and the dark edition. A role that a person
 * decided there as well is left alone. Empty without a filled slot.
 */
export function lackingThemes(frame: Frame): LackingTheme[] {
  const make = roleMaker(frame)
  const light = themesInOrder(frame.themes)
  const common = commonIn(light)
  if (!make || common.length === 0) return []
  const shown = frame.edition === 'light' ? [] : themesInOrder(afterDark(frame).themes)
  return [
    ...light.flatMap((theme) => lackingIn(make, frame, theme, common, false)),
    ...shown.flatMap((theme) => lackingIn(make, frame, theme, common, true)),
  ]
}
