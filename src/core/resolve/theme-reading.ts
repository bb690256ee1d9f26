import { contrast, over, white, type Color } from '../color'
import { groundsOfRole } from '../elements'
import { roleIds, roles, type RoleId } from '../roles'
import type { Palette, Theme } from '../site'
import { decisionColor } from './decision'

export interface ThemeReading {
  /** The lowest ratio over all that the role stands on. */
  readonly ratio: number
  readonly needs: number
  readonly passes: boolean
  readonly on: RoleId
}

/** The colour a role has as it is seen: over the theme's ground, where it can be seen through. */
export function seenRole(palette: Palette, theme: Theme, role: RoleId) {
  const ground = over(decisionColor(palette, theme.roles.ground), white)
  return role === 'ground' ? ground : over(decisionColor(palette, theme.roles[role]), ground)
}

/** What a role is seen as where others stand on it: a fill that lets through shows ground or cards. */
export function seenGrounds(palette: Palette, theme: Theme, on: RoleId): Color[] {
  const ground = seenRole(palette, theme, 'ground')
  if (on === 'ground') return [ground]
  const surface = seenRole(palette, theme, 'surface')
  if (on === 'surface') return [surface]
  const fill = decisionColor(palette, theme.roles[on])
  return fill.alpha >= 1 ? [fill] : [over(fill, ground), over(fill, surface)]
}

/** How a role of a theme reads at its worst; undefined for roles that need no contrast. */
export function themeReading(
  palette: Palette,
  theme: Theme,
  role: RoleId,
): ThemeReading | undefined {
  const { needs } = roles[role]
  if (needs === undefined) return undefined
  const color = decisionColor(palette, theme.roles[role])
  const readings = groundsOfRole(role).flatMap((ground) =>
    seenGrounds(palette, theme, ground).map((seen) => {
      const ratio = contrast(color, seen)
      return { ratio, needs, passes: ratio >= needs, on: ground }
    }),
  )
  return readings.sort((a, b) => a.ratio - b.ratio)[0]
}

/** A role of a theme that does not reach the contrast it needs. */
export interface Failing {
  readonly theme: Theme
  readonly role: RoleId
  readonly reading: ThemeReading
}

/** Everything in a set of themes that is hard to read. */
export function failingRoles(palette: Palette, themes: readonly Theme[]): Failing[] {
  return themes.flatMap((theme) =>
    roleIds.flatMap((role) => {
      const reading = themeReading(palette, theme, role)
      return reading && !reading.passes ? [{ theme, role, reading }] : []
    }),
  )
}
