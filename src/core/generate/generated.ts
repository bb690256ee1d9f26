import { colorOf, toOklch, writeRatio } from '../color'
import { decisionColor, seenGrounds, slotSteps, themeReading } from '../resolve'
import { roleIds, roleName, type RoleId } from '../roles'
import type { Settings } from '../traits'
import {
  freeThemeName,
  idFromName,
  isBound,
  slotName,
  slotsInOrder,
  themesInOrder,
  themeId,
  type ColorDecision,
  type Palette,
  type Theme,
  type ThemeRoles,
  type Themes,
} from '../site'
import {
  groundKind,
  themeGenerator,
  usefulGrounds,
  type GeneratedRoles,
  type PaletteColor,
} from '../theme'

/** The group of slots that are there for good, doubtful and bad news: generated themes take them for nothing else. */
export const newsGroup = 'Status'

/** The filled slots, as theme generation takes them. */
export function paletteColors(palette: Palette): PaletteColor[] {
  return slotsInOrder(palette).flatMap((slot) => {
    const color = slot.value === null ? undefined : colorOf(slot.value)
    const steps = slotSteps(slot)
    const forNews = slot.group === newsGroup
    return color
      ? [{ id: slot.id, color, ...(steps ? { steps } : {}), ...(forNews ? { forNews } : {}) }]
      : []
  })
}

/** Chroma (OKLCH) below which nobody would call a colour vivid. Common practice, no source. */
const VIVID = 0.07

/** What a generated theme is named where a shade of a slot is its ground. */
const TONES = ['pale', 'dark', 'vivid', 'deeper', 'paler'] as const

/** A theme that is named as those are that are generated on a slot, with the name that follows a new one of the slot. */
export interface NamedAfter {
  readonly theme: Theme
  readonly name: string
}

/** The themes that bear the name of a slot as generated ones do; what would be longer than a name may be is cut. */
export function themesNamedAfter(themes: Themes, before: string, after: string): NamedAfter[] {
  const start = new RegExp(`^On (?:(?:${TONES.join('|')}) )?`)
  return themesInOrder(themes).flatMap((theme) => {
    const tone = start.exec(theme.name)?.[0] ?? ''
    const rest = theme.name.slice(tone.length)
    const number = rest.slice(before.length)
    const isNamed = tone && rest.startsWith(before) && /^( \d+)?$/.test(number)
    return isNamed ? [{ theme, name: `${tone}${after}${number}`.slice(0, 60) }] : []
  })
}

/** “On Paper”; where a shade stands in for a ground, “On pale Slate”. */
function themeName(palette: Palette, ground: ColorDecision): string {
  const kind = groundKind(decisionColor(palette, ground))
  const slot = isBound(ground) ? slotName(palette, ground.slot) : ground.value
  if (!isBound(ground) || !ground.shade) return `On ${slot}`.slice(0, 60)
  const isMuted = kind === 'vivid' && toOklch(decisionColor(palette, ground)).c < VIVID
  const deeper: (typeof TONES)[number] = (ground.shade.lightness ?? 0) < 0 ? 'deeper' : 'paler'
  return `On ${isMuted ? deeper : kind} ${slot}`.slice(0, 60)
}

/** The decisions of the generator are those of a site: its slots are the palette's own. */
const asRoles = (roles: GeneratedRoles) => roles as unknown as ThemeRoles

/** What themes are generated from: a palette, and the form that buttons have. */
export interface ThemeSource {
  readonly palette: Palette
  readonly settings: Pick<Settings, 'buttonForm'>
}

/** Makes the roles of themes on grounds of any kind, around what is given; undefined without a filled slot. */
export function roleMaker({
  palette,
  settings,
}: ThemeSource): ((ground: ColorDecision, given?: Partial<ThemeRoles>) => ThemeRoles) | undefined {
  const colors = paletteColors(palette)
  if (colors.length === 0) return undefined
  const generate = themeGenerator(colors, settings.buttonForm)
  return (ground, given = {}) => {
    const known = Object.entries(given).map(([role, decision]) => [
      role,
      { decision, color: decisionColor(palette, decision) },
    ])
    return asRoles(generate(ground, decisionColor(palette, ground), Object.fromEntries(known)))
  }
}

/**
 * What a person decided of some roles, without those that are free to be
 * generated, and without the ground, which everything is made on.
 */
export function byHand(
  roles: ThemeRoles,
  hand: readonly RoleId[],
  free: readonly RoleId[],
): Partial<ThemeRoles> {
  const kept = hand.filter((role) => role !== 'ground' && !free.includes(role))
  return Object.fromEntries(kept.map((role) => [role, roles[role]]))
}

function newTheme(
  wanted: string,
  roles: ThemeRoles,
  hand: readonly RoleId[],
  taken: readonly Theme[],
): Theme {
  const name = freeThemeName(wanted, taken)
  const ids = taken.map((theme) => theme.id)
  return { id: themeId.parse(idFromName(name, ids, 'theme')), name, roles, hand: [...hand] }
}

/**
 * A theme generated on a ground, named after it; ids and names that are taken
 * are not given again. Undefined without a filled slot.
 */
export function generateThemeOn(
  source: ThemeSource,
  ground: ColorDecision,
  taken: readonly Theme[],
): Theme | undefined {
  const roles = roleMaker(source)?.(ground)
  return roles && newTheme(themeName(source.palette, ground), roles, [], taken)
}

/** A theme for every useful ground of a palette; none without a filled slot. */
export function generateThemes(source: ThemeSource, taken: readonly Theme[] = []): Theme[] {
  const made: Theme[] = []
  for (const { decision } of usefulGrounds(paletteColors(source.palette))) {
    const ground = decision as ColorDecision
    const theme = generateThemeOn(source, ground, [...taken, ...made])
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
  source: ThemeSource,
  read: { readonly name: string; readonly roles: Partial<ThemeRoles> },
  taken: readonly Theme[],
): Theme | undefined {
  const [first] = paletteColors(source.palette)
  if (!first) return undefined
  const { ground = { slot: first.id } as ColorDecision, ...given } = read.roles
  const roles = roleMaker(source)?.(ground, given)
  const hand = roleIds.filter((role) => read.roles[role])
  return roles && newTheme(read.name, roles, hand, taken)
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
