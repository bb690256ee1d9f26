import * as z from 'zod'
import { roleIds, type RoleId } from '../roles'
import { themeId } from './ids'
import { colorDecision, type ColorDecision } from './paint'
import { nameText } from './text'

const rolesSchema = z.record(z.enum(roleIds), colorDecision)

/** A full set of role decisions. */
export const themeSchema = z.strictObject({
  id: themeId,
  name: nameText,
  roles: rolesSchema,
  /** The roles that a person decided; generating anew leaves them alone. */
  hand: z.array(z.enum(roleIds)).max(roleIds.length),
  /** The same theme after dark, where the site has a dark edition. */
  dark: rolesSchema.optional(),
  /** The roles of the dark edition that a person decided. */
  darkHand: z.array(z.enum(roleIds)).max(roleIds.length).optional(),
})

export type ThemeRoles = z.infer<typeof rolesSchema>

/** Who decides between the light and the dark edition of the published pages. */
export const editions = ['light', 'visitor', 'switch'] as const
export type Edition = (typeof editions)[number]

/** Most themes that a site holds. */
export const mostThemes = 64

export const themesSchema = z.strictObject({
  order: z.array(themeId).min(1).max(mostThemes),
  byId: z.record(themeId, themeSchema),
  /** The themes as the design came, to return to; absent where that is not known. */
  original: z.array(themeSchema).max(mostThemes).optional(),
})

export type Theme = z.infer<typeof themeSchema>
export type Themes = z.infer<typeof themesSchema>

/** What is decided for a role in one edition of a theme, and whether a person does. */
export interface Deciding {
  readonly role: RoleId
  readonly decision: ColorDecision
  readonly dark?: boolean
  readonly hand?: boolean
}

/** A theme with one role decided; a theme without a dark edition has one from its first dark cell on. */
export function decidedIn(theme: Theme, { role, decision, dark, hand = false }: Deciding): Theme {
  const before = (dark ? theme.darkHand : theme.hand) ?? []
  const roles = { ...((dark && theme.dark) || theme.roles), [role]: decision }
  const next = dark ? { ...theme, dark: roles } : { ...theme, roles }
  if (before.includes(role) === hand) return next
  const by = hand ? [...before, role] : before.filter((each) => each !== role)
  return { ...next, [dark ? 'darkHand' : 'hand']: by }
}

/** A theme's name that no other has, letter case aside: the wanted one, or with a number behind it. */
export function freeThemeName(wanted: string, taken: readonly Theme[]): string {
  const names = new Set(taken.map(({ name }) => name.toLowerCase()))
  let name = wanted
  for (let n = 2; names.has(name.toLowerCase()); n += 1) name = `${wanted.slice(0, 56)} ${n}`
  return name
}

export function themesInOrder(themes: Themes): Theme[] {
  return themes.order.flatMap((id) => themes.byId[id] ?? [])
}
