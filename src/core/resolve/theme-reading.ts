import { contrast, over, white } from '../color'
import type { Palette, Theme } from '../site'
import { roleIds, roles, type RoleId } from '../theme'
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

/** How a role of a theme reads at its worst; undefined for roles that need no contrast. */
export function themeReading(
  palette: Palette,
  theme: Theme,
  role: RoleId,
): ThemeReading | undefined {
  const { on, needs } = roles[role]
  if (needs === undefined) return undefined
  const color = decisionColor(palette, theme.roles[role])
  const readings = on.map((ground) => {
    const ratio = contrast(color, seenRole(palette, theme, ground))
    return { ratio, needs, passes: ratio >= needs, on: ground }
  })
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
