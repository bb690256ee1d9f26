import wcagContrast from 'wcag-contrast'
import { colorOf, over, shadesOf, toBytes, white, type Color } from '../color'
import type { GeneratedRoles } from './generate'
import type { Decision, PaletteColor } from './inks'
import { rolePairs, type RoleId } from './roles'

export function colorOfDecision(palette: readonly PaletteColor[], decision: Decision): Color {
  if ('value' in decision) return colorOf(decision.value)!
  return shadesOf(palette.find(({ id }) => id === decision.slot)!.color)(decision.shade)
}

/** The contrast that the reference library (wcag-contrast) gives, of 8-bit colours as they are painted. */
export const referenceContrast = (a: Color, b: Color): number =>
  wcagContrast.rgb([...toBytes(a)], [...toBytes(b)])

/** The grounds that a role is seen as: fills that let through are seen over ground and cards. */
export function seenGroundsOf(color: (role: RoleId) => Color, on: RoleId): Color[] {
  const ground = over(color('ground'), white)
  if (on === 'ground') return [ground]
  const surface = over(color('surface'), ground)
  return on === 'surface' ? [surface] : [ground, surface].map((under) => over(color(on), under))
}

/** Every pair of a theme that does not hold, by the reference library. */
export function pairsThatFail(palette: readonly PaletteColor[], roles: GeneratedRoles): string[] {
  const known = new Map<RoleId, Color>()
  const color = (role: RoleId): Color => {
    const own = known.get(role) ?? colorOfDecision(palette, roles[role])
    known.set(role, own)
    return own
  }
  return rolePairs.flatMap(({ role, on, needs }) =>
    seenGroundsOf(color, on).flatMap((ground) => {
      const ratio = referenceContrast(over(color(role), ground), ground)
      return ratio < needs ? [`${role} on ${on}: ${ratio.toFixed(3)}`] : []
    }),
  )
}
