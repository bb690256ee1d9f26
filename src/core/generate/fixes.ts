import { colorOf, contrast, difference, sameHue, writeHex, type Color } from '../color'
import { decisionColor, failingRoles, seenGrounds, themeReading } from '../resolve'
import {
  canonicalJson,
  isBound,
  slotsInOrder,
  type ColorDecision,
  type Palette,
  type Theme,
} from '../site'
import { rolePairs, roles, type RoleId } from '../theme'

/** A colour that would read where another one does not. */
export interface ReadableChoice {
  readonly decision: ColorDecision
  readonly color: Color
  readonly ratio: number
}

/** Where a role stands, and the roles that stand on it: changing it must break neither. */
function worst(palette: Palette, theme: Theme, role: RoleId, decision: ColorDecision) {
  const changed: Theme = { ...theme, roles: { ...theme.roles, [role]: decision } }
  const own = themeReading(palette, changed, role)
  const standing = rolePairs.filter(({ on }) => on === role)
  const holds = standing.every(({ role: other, on, needs }) => {
    const color = decisionColor(palette, changed.roles[other])
    return seenGrounds(palette, changed, on).every((ground) => contrast(color, ground) >= needs)
  })
  return { ratio: own?.ratio ?? Infinity, holds }
}

/** The nearest shade of the decision that reads, searched outwards point by point. */
function nearestShade(
  decision: ColorDecision,
  reads: (candidate: ColorDecision) => boolean,
): ColorDecision | undefined {
  const at = (points: number): ColorDecision | undefined => {
    if (!isBound(decision)) {
      const color = colorOf(decision.value)
      return color ? { value: writeHex(sameHue(color, points)) } : undefined
    }
    const lightness = (decision.shade?.lightness ?? 0) + points
    if (Math.abs(lightness) > 100) return undefined
    const { lightness: _before, ...others } = decision.shade ?? {}
    const shade = { ...others, ...(lightness ? { lightness } : {}) }
    return Object.keys(shade).length ? { slot: decision.slot, shade } : { slot: decision.slot }
  }
  for (let points = 1; points <= 100; points += 1) {
    for (const sign of [-1, 1]) {
      const candidate = at(points * sign)
      if (candidate && reads(candidate)) return candidate
    }
  }
  return undefined
}

/**
 * The two or three nearest colours that read where a role does not: the nearest
 * shade of the same hue, and the slots nearest in colour (CIEDE2000). None for a
 * role that needs no contrast.
 */
export function readableChoices(palette: Palette, theme: Theme, role: RoleId): ReadableChoice[] {
  const needs = roles[role].needs
  if (needs === undefined) return []
  const now = theme.roles[role]
  const color = decisionColor(palette, now)
  const reads = (candidate: ColorDecision) => {
    const { ratio, holds } = worst(palette, theme, role, candidate)
    return ratio >= needs && holds
  }
  const gap = (decision: ColorDecision) => difference(decisionColor(palette, decision), color)
  const slots = slotsInOrder(palette)
    .filter(({ value }) => value !== null)
    .map(({ id }): ColorDecision => ({ slot: id }))
  const whole = slots.filter(reads).sort((a, b) => gap(a) - gap(b))
  const shades = slots
    .flatMap((slot) => (whole.includes(slot) ? [] : (nearestShade(slot, reads) ?? [])))
    .sort((a, b) => gap(a) - gap(b))
  const own = nearestShade(now, reads)
  // The same hue first, then a slot itself, then whatever shade is nearest.
  const found = [...(own ? [own] : []), ...whole.slice(0, 1), ...shades, ...whole]
  const unique = [...new Map(found.map((each) => [canonicalJson(each), each])).values()]
  return unique.slice(0, 3).map((decision) => ({
    decision,
    color: decisionColor(palette, decision),
    ratio: worst(palette, theme, role, decision).ratio,
  }))
}

export interface CellFix {
  readonly role: RoleId
  readonly before: ColorDecision
  readonly after: ColorDecision
}

/** The nearest readable colour for everything in a theme that fails, each found with those before it in place. */
export function fixesFor(palette: Palette, theme: Theme): CellFix[] {
  const fixes: CellFix[] = []
  let fixed = theme
  for (const { role } of failingRoles(palette, [theme])) {
    const [choice] = readableChoices(palette, fixed, role)
    if (!choice) continue
    fixes.push({ role, before: theme.roles[role], after: choice.decision })
    fixed = { ...fixed, roles: { ...fixed.roles, [role]: choice.decision } }
  }
  return fixes
}
