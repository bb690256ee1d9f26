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
} from '../site'
import {
  groundKind,
  roleIds,
  roleName,
  themeGenerator,
  usefulGrounds,
  type PaletteColor,
  type RoleId,
  type SlotDecision,
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
const asRoles = (roles: Readonly<Record<RoleId, SlotDecision>>) => roles as unknown as ThemeRoles

/** A theme generated on a ground, named after it; ids and names that are taken are not given again. */
export function generateThemeOn(
  palette: Palette,
  ground: ColorDecision,
  taken: readonly Theme[],
): Theme | undefined {
  const colors = paletteColors(palette)
  if (!isBound(ground) || colors.length === 0) return undefined
  const roles = themeGenerator(colors)(ground, decisionColor(palette, ground))
  const stem = themeName(palette, ground)
  const names = new Set(taken.map(({ name }) => name.toLowerCase()))
  let name = stem
  for (let n = 2; names.has(name.toLowerCase()); n += 1) name = `${stem.slice(0, 56)} ${n}`
  const id = themeId.parse(
    idFromName(
      name,
      taken.map((theme) => theme.id),
      'theme',
    ),
  )
  return { id, name, roles: asRoles(roles), hand: [] }
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
 * not have are generated on its ground. Undefined where they cannot be.
 */
export function completeTheme(
  palette: Palette,
  read: { readonly name: string; readonly roles: Partial<ThemeRoles> },
  taken: readonly Theme[],
): Theme | undefined {
  const ground = read.roles.ground
  const first = paletteColors(palette)[0]
  const base = ground && isBound(ground) ? ground : first && ({ slot: first.id } as ColorDecision)
  const made = base && generateThemeOn(palette, base, taken)
  if (!made) return undefined
  const names = new Set(taken.map(({ name }) => name.toLowerCase()))
  let { name } = read
  for (let n = 2; names.has(name.toLowerCase()); n += 1) name = `${read.name.slice(0, 56)} ${n}`
  const ids = taken.map(({ id }) => id)
  const hand = roleIds.filter((role) => read.roles[role])
  const id = themeId.parse(idFromName(name, ids, 'theme'))
  return { id, name, roles: { ...made.roles, ...read.roles } as ThemeRoles, hand }
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
  /** Themes on a loose ground: there is no slot to generate them from. */
  readonly skipped: readonly Theme[]
}

/** What each cell of a theme would be if it were generated on the ground it has. */
export function generatedRoles(palette: Palette, theme: Theme): ThemeRoles | undefined {
  return roleMaker(palette)(theme)
}

function roleMaker(palette: Palette): (theme: Theme) => ThemeRoles | undefined {
  const colors = paletteColors(palette)
  const generate = colors.length ? themeGenerator(colors) : undefined
  return ({ roles: { ground } }) => {
    if (!generate || !isBound(ground) || !palette.slots[ground.slot]?.value) return undefined
    return asRoles(generate(ground, decisionColor(palette, ground)))
  }
}

/** What generating all themes anew would do; what a person decided by hand stays. */
export function planRegeneration({ palette, themes }: Frame): Regeneration {
  const rolesFor = roleMaker(palette)
  const [changes, kept]: [CellChange[], CellChange[]] = [[], []]
  const skipped: Theme[] = []
  const all = themesInOrder(themes)
  for (const theme of all) {
    const roles = rolesFor(theme)
    if (!roles) {
      skipped.push(theme)
      continue
    }
    for (const role of roleIds) {
      const [before, after] = [theme.roles[role], roles[role]]
      if (canonicalJson(before) === canonicalJson(after)) continue
      ;(theme.hand.includes(role) ? kept : changes).push({ theme: theme.id, role, before, after })
    }
  }
  const grounds = new Set(all.map(({ roles }) => canonicalJson(roles.ground)))
  const add = generateThemes(palette, all).filter(
    ({ roles }) => !grounds.has(canonicalJson(roles.ground)),
  )
  return { changes, kept, add, skipped }
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
