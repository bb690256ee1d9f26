import wcagContrast from 'wcag-contrast'
import { colorOf, over, shadesOf, toBytes, white, type Color } from '../color'
import { rolePairs, type RolePair } from '../elements'
import type { RoleId } from '../roles'
import { TOLD } from './buttons'
import type { GeneratedRoles } from './generate'
import type { Decision, PaletteColor } from './inks'

export function colorOfDecision(palette: readonly PaletteColor[], decision: Decision): Color {
  if ('value' in decision) return colorOf(decision.value)!
  const { color, steps } = palette.find(({ id }) => id === decision.slot)!
  return shadesOf(color, steps)(decision.shade)
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

/** The colours of a theme's roles, each found once. */
function coloring(palette: readonly PaletteColor[], roles: GeneratedRoles) {
  const known = new Map<RoleId, Color>()
  return (role: RoleId): Color => {
    const own = known.get(role) ?? colorOfDecision(palette, roles[role])
    known.set(role, own)
    return own
  }
}

/** Every pair of a theme that does not hold, by the reference library. */
export function pairsThatFail(
  palette: readonly PaletteColor[],
  roles: GeneratedRoles,
  pairs: readonly RolePair[] = rolePairs,
): string[] {
  const color = coloring(palette, roles)
  return pairs.flatMap(({ role, on, needs }) =>
    seenGroundsOf(color, on).flatMap((ground) => {
      const ratio = referenceContrast(over(color(role), ground), ground)
      return ratio < needs ? [`${role} on ${on}: ${ratio.toFixed(3)}`] : []
    }),
  )
}

/** What should come second and reads stronger than what comes first, by the reference library. */
export function outOfTurn(color: (role: RoleId) => Color): string[] {
  const pairs = [
    ['mutedText', 'text', ['ground', 'surface']],
    ['fieldHint', 'fieldText', ['fieldGround']],
  ] as const
  return pairs.flatMap(([second, first, on]) =>
    on
      .flatMap((role) => seenGroundsOf(color, role))
      .flatMap((ground) => {
        const [faint, strong] = [second, first].map((role) =>
          referenceContrast(over(color(role), ground), ground),
        ) as [number, number]
        return faint > strong + 1e-9
          ? [`${second} ${faint.toFixed(2)} stronger than ${first} ${strong.toFixed(2)}`]
          : []
      }),
  )
}

/** Buttons that vanish into ground or cards, at rest or pointed at, by fill and line alike. */
export function vanishing(color: (role: RoleId) => Color): string[] {
  const states = ['buttonFill', 'buttonHoverFill'] as const
  const grounds = (['ground', 'surface'] as const).flatMap((on) => seenGroundsOf(color, on))
  return states.flatMap((fill) =>
    grounds.flatMap((ground) => {
      const ratios = ([fill, 'buttonLine'] as const).map((role) =>
        referenceContrast(over(color(role), ground), ground),
      )
      const most = Math.max(...ratios)
      return most < TOLD ? [`${fill} vanishes: ${most.toFixed(2)}`] : []
    }),
  )
}

/** All that a generated theme must hold and does not: pairs, the turn of words, buttons that are told. */
export function themeFaults(palette: readonly PaletteColor[], roles: GeneratedRoles): string[] {
  const color = coloring(palette, roles)
  return [...pairsThatFail(palette, roles), ...outOfTurn(color), ...vanishing(color)]
}
