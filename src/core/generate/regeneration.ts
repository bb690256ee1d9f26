import { roleIds, type RoleId } from '../roles'
import {
  canonicalJson,
  isBound,
  themesInOrder,
  type ColorDecision,
  type Frame,
  type Theme,
  type ThemeId,
  type ThemeRoles,
  type Themes,
} from '../site'
import { afterDark, darkEdition } from './dark-edition'
import { byHand, generateThemes, roleMaker } from './generated'

/** A cell that generating anew would decide otherwise. */
export interface CellChange {
  readonly theme: ThemeId
  readonly role: RoleId
  readonly before: ColorDecision
  readonly after: ColorDecision
}

export interface Regeneration {
  readonly changes: readonly CellChange[]
  /** Cells that a person decided and that therefore stay, though they would be decided otherwise. */
  readonly kept: readonly CellChange[]
  /** Themes for useful grounds that have none. */
  readonly add: readonly Theme[]
}

interface Overruling {
  /** What a person decided is made anew as well. */
  readonly overrule?: boolean
}

/**
 * The themes of a site as they would be generated on the grounds they have,
 * around what a person decided, except for the roles that are `free`. Empty
 * without a filled slot.
 */
export function lightEdition(
  frame: Frame,
  free: readonly RoleId[] = [],
): Record<ThemeId, ThemeRoles> {
  const make = roleMaker(frame)
  if (!make) return {}
  return Object.fromEntries(
    themesInOrder(frame.themes).map(({ id, roles, hand }) => [
      id,
      make(roles.ground, byHand(roles, hand, free)),
    ]),
  ) as Record<ThemeId, ThemeRoles>
}

function changesOf(
  themes: readonly Theme[],
  edition: Readonly<Record<ThemeId, ThemeRoles>>,
  of: (theme: Theme) => readonly RoleId[],
): CellChange[] {
  return themes.flatMap((theme) => {
    const roles = edition[theme.id]
    if (!roles) return []
    return of(theme).flatMap((role) => {
      const [before, after] = [theme.roles[role], roles[role]]
      if (canonicalJson(before) === canonicalJson(after)) return []
      return [{ theme: theme.id, role, before, after }]
    })
  })
}

/** What an edition, generated anew, would change in the themes as they are in it now. */
function planFor(
  edition: (frame: Frame, free?: readonly RoleId[]) => Record<ThemeId, ThemeRoles>,
  frame: Frame,
  themes: readonly Theme[],
  { overrule = false }: Overruling,
): Omit<Regeneration, 'add'> {
  const afresh = edition(frame, roleIds)
  return {
    changes: changesOf(themes, overrule ? afresh : edition(frame), () => roleIds),
    kept: overrule ? [] : changesOf(themes, afresh, ({ hand }) => hand),
  }
}

/**
 * What generating all themes anew would do. What a person decided by hand
 * stays, and the rest is made around it, unless it is to be overruled.
 */
export function planRegeneration(frame: Frame, overruling: Overruling = {}): Regeneration {
  const all = themesInOrder(frame.themes)
  const grounds = new Set(all.map(({ roles }) => canonicalJson(roles.ground)))
  const add = generateThemes(frame, all).filter(
    ({ roles }) => !grounds.has(canonicalJson(roles.ground)),
  )
  return { ...planFor(lightEdition, frame, all, overruling), add }
}

/** The same for the dark edition that a site has. */
export function planDarkEdition(frame: Frame, overruling: Overruling = {}): Regeneration {
  const shown = themesInOrder(afterDark(frame).themes)
  return { ...planFor(darkEdition, frame, shown, overruling), add: [] }
}

/** The themes as they are once some cells are changed. */
export function afterChanges(themes: Themes, changes: readonly CellChange[]): Theme[] {
  return themesInOrder(themes).map((theme) => {
    const own = changes.filter((change) => change.theme === theme.id)
    if (own.length === 0) return theme
    const roles = Object.fromEntries(own.map(({ role, after }) => [role, after]))
    return { ...theme, roles: { ...theme.roles, ...roles } }
  })
}

/** A cell as generating decides it; with `dark` in the dark edition. */
export interface AnewCell {
  /** Whether a person decided it so; what is generated is not. */
  readonly hand?: boolean
  readonly theme: ThemeId
  readonly role: RoleId
  readonly decision: ColorDecision
  readonly dark?: true
}

/** Cells of every edition that a site has, theme by theme, each theme as it is in that edition. */
export function cellsByEdition(
  frame: Frame,
  cellsOf: (theme: Theme) => ReadonlyArray<Omit<AnewCell, 'theme' | 'dark'>>,
): AnewCell[] {
  const of = (themes: Theme[]): AnewCell[] =>
    themes.flatMap((theme) => cellsOf(theme).map((cell) => ({ theme: theme.id, ...cell })))
  const light = of(themesInOrder(frame.themes))
  if (frame.edition === 'light') return light
  const dark = of(themesInOrder(afterDark(frame).themes))
  return [...light, ...dark.map((cell) => ({ ...cell, dark: true as const }))]
}

/** The cells that generating every edition of a site anew would decide otherwise, around what a person decided. */
export function cellsAnew(frame: Frame): AnewCell[] {
  const light = changesOf(themesInOrder(frame.themes), lightEdition(frame), () => roleIds)
  const dark =
    frame.edition === 'light'
      ? []
      : changesOf(themesInOrder(afterDark(frame).themes), darkEdition(frame), () => roleIds)
  const cellOf = ({ theme, role, after }: CellChange) => ({ theme, role, decision: after })
  return [...light.map(cellOf), ...dark.map((each) => ({ ...cellOf(each), dark: true as const }))]
}

/**
 * The cells that the design's own themes, as they came, decide otherwise: of
 * themes that are still there, by slots that are. None where they are not known.
 */
export function cellsOfDesign({ palette, themes }: Frame): AnewCell[] {
  const isThere = (decision: ColorDecision) =>
    !isBound(decision) || Object.hasOwn(palette.slots, decision.slot)
  const cellsOf = (
    theme: Theme,
    now: ThemeRoles | undefined,
    { roles, hand }: { readonly roles: ThemeRoles; readonly hand: readonly RoleId[] },
    dark: { readonly dark?: true },
  ): AnewCell[] =>
    roleIds.flatMap((role) => {
      const decision = roles[role]
      const isSame = now && canonicalJson(now[role]) === canonicalJson(decision)
      if (isSame || !isThere(decision)) return []
      return [{ theme: theme.id, role, decision, hand: hand.includes(role), ...dark }]
    })
  return (themes.original ?? []).flatMap((came) => {
    const now = themes.byId[came.id]
    if (!now) return []
    const after = came.dark && { roles: came.dark, hand: came.darkHand ?? [] }
    return [
      ...cellsOf(now, now.roles, came, {}),
      ...(after && now.dark ? cellsOf(now, now.dark, after, { dark: true }) : []),
    ]
  })
}
