import { colorOf, writeRatio } from '../color'
import { decisionColor, seenGrounds, themeReading } from '../resolve'
import {
  canonicalJson,
  idFromName,
  isBound,
  slotName,
  slotsInOrder,
  themeId,
  themesInOrder,
  type ColorDecision,
  type Frame,
  type Palette,
  type Theme,
  type ThemeId,
  type ThemeRoles,
  type Themes,
} from '../site'
import {
  groundKind,
  roleIds,
  roleName,
  themeGenerator,
  usefulGrounds,
  type GeneratedRoles,
  type PaletteColor,
  type RoleId,
} from '../theme'

/** The filled slots, as theme generation takes them. */
export function paletteColors(palette: Palette): PaletteColor[] {
  return slotsInOrder(palette).flatMap(({ id, value }) => {
    const color = value === null ? undefined : colorOf(value)
    return color ? [{ id, color }] : []
  })
}

/** “On Paper”; where a shade stands in for a ground, “On pale Slate”. */
function themeName(palette: Palette, ground: ColorDecision): string {
  const kind = groundKind(decisionColor(palette, ground))
  const slot = isBound(ground) ? slotName(palette, ground.slot) : ground.value
  const shaded = isBound(ground) && ground.shade
  return `On ${shaded ? `${kind} ` : ''}${slot}`.slice(0, 60)
}

/** The decisions of the generator are those of a site: its slots are the palette's own. */
const asRoles = (roles: GeneratedRoles) => roles as unknown as ThemeRoles

/** Makes the roles of themes on grounds of any kind, around what is given; undefined without a filled slot. */
export function roleMaker(
  palette: Palette,
): ((ground: ColorDecision, given?: Partial<ThemeRoles>) => ThemeRoles) | undefined {
  const colors = paletteColors(palette)
  if (colors.length === 0) return undefined
  const generate = themeGenerator(colors)
  return (ground, given = {}) => {
    const known = Object.entries(given).map(([role, decision]) => [
      role,
      { decision, color: decisionColor(palette, decision) },
    ])
    return asRoles(generate(ground, decisionColor(palette, ground), Object.fromEntries(known)))
  }
}

/** A name that no other theme has, letter case aside. */
function freeName(wanted: string, taken: readonly Theme[]): string {
  const names = new Set(taken.map(({ name }) => name.toLowerCase()))
  let name = wanted
  for (let n = 2; names.has(name.toLowerCase()); n += 1) name = `${wanted.slice(0, 56)} ${n}`
  return name
}

function newTheme(
  wanted: string,
  roles: ThemeRoles,
  hand: readonly RoleId[],
  taken: readonly Theme[],
): Theme {
  const name = freeName(wanted, taken)
  const ids = taken.map((theme) => theme.id)
  return { id: themeId.parse(idFromName(name, ids, 'theme')), name, roles, hand: [...hand] }
}

/**
 * A theme generated on a ground, named after it; ids and names that are taken
 * are not given again. Undefined without a filled slot.
 */
export function generateThemeOn(
  palette: Palette,
  ground: ColorDecision,
  taken: readonly Theme[],
): Theme | undefined {
  const roles = roleMaker(palette)?.(ground)
  return roles && newTheme(themeName(palette, ground), roles, [], taken)
}

/** A theme for every useful ground of a palette; none without a filled slot. */
export function generateThemes(palette: Palette, taken: readonly Theme[] = []): Theme[] {
  const made: Theme[] = []
  for (const { decision } of usefulGrounds(paletteColors(palette))) {
    const ground = decision as ColorDecision
    const theme = generateThemeOn(palette, ground, [...taken, ...made])
    if (theme) made.push(theme)
  }
  return made
}

/**
 * A theme that was read from a file, made whole for this palette: roles it does
 * not have are generated on its ground, around those it has. Undefined without
 * a filled slot.
 */
export function completeTheme(
  palette: Palette,
  read: { readonly name: string; readonly roles: Partial<ThemeRoles> },
  taken: readonly Theme[],
): Theme | undefined {
  const [first] = paletteColors(palette)
  if (!first) return undefined
  const { ground = { slot: first.id } as ColorDecision, ...given } = read.roles
  const roles = roleMaker(palette)?.(ground, given)
  const hand = roleIds.filter((role) => read.roles[role])
  return roles && newTheme(read.name, roles, hand, taken)
}

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

/**
 * What some cells of a theme would be if they were generated on the ground it
 * has, around what a person decided of the others. Undefined without a filled slot.
 */
export function generatedRoles(
  palette: Palette,
  theme: Theme,
  wanted: readonly RoleId[],
): ThemeRoles | undefined {
  const kept = theme.hand.filter((role) => !wanted.includes(role))
  return roleMaker(palette)?.(theme.roles.ground, decisionsOf(theme.roles, kept))
}

/** What is decided for some roles; not for its ground, which everything is made on. */
export function decisionsOf(roles: ThemeRoles, wanted: readonly RoleId[]): Partial<ThemeRoles> {
  return Object.fromEntries(
    wanted.flatMap((role) => (role === 'ground' ? [] : [[role, roles[role]]])),
  )
}

export function changesOf(theme: Theme, after: ThemeRoles, of: readonly RoleId[]): CellChange[] {
  return of.flatMap((role) => {
    const before = theme.roles[role]
    if (canonicalJson(before) === canonicalJson(after[role])) return []
    return [{ theme: theme.id, role, before, after: after[role] }]
  })
}

/**
 * What generating all themes anew would do. What a person decided by hand
 * stays, and the rest is made around it, unless it is to be overruled.
 */
export function planRegeneration(
  { palette, themes }: Frame,
  { overrule = false }: { readonly overrule?: boolean } = {},
): Regeneration {
  const make = roleMaker(palette)
  if (!make) return { changes: [], kept: [], add: [] }
  const all = themesInOrder(themes)
  const changes: CellChange[] = []
  const kept: CellChange[] = []
  for (const theme of all) {
    const { ground } = theme.roles
    const afresh = make(ground)
    if (overrule) changes.push(...changesOf(theme, afresh, roleIds))
    else {
      kept.push(...changesOf(theme, afresh, theme.hand))
      const around = theme.hand.length ? make(ground, decisionsOf(theme.roles, theme.hand)) : afresh
      const free = roleIds.filter((role) => !theme.hand.includes(role))
      changes.push(...changesOf(theme, around, free))
    }
  }
  const grounds = new Set(all.map(({ roles }) => canonicalJson(roles.ground)))
  const add = generateThemes(palette, all).filter(
    ({ roles }) => !grounds.has(canonicalJson(roles.ground)),
  )
  return { changes, kept, add }
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

/** Why a role has its colour, in a few words: “Ink on Paper, 14.7:1”. */
export function explainRole(palette: Palette, theme: Theme, role: RoleId, words: string): string {
  const reading = themeReading(palette, theme, role)
  if (!reading) return words
  const on = theme.roles[reading.on]
  const ground =
    isBound(on) && seenGrounds(palette, theme, reading.on).length === 1
      ? slotName(palette, on.slot)
      : roleName(reading.on).toLowerCase()
  return `${words} on ${ground}, ${writeRatio(reading.ratio)}:1`
}
