import { colorOf, contrast, difference, sameHue, writeHex, type Color } from '../color'
import { rolePairs } from '../elements'
import { decisionColor, failingRoles, seenGrounds, themeReading } from '../resolve'
import { roleIds, roles, type RoleId } from '../roles'
import {
  canonicalJson,
  isBound,
  slotsInOrder,
  type ColorDecision,
  type Palette,
  type Theme,
} from '../site'

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

/** Whether a decision would read for a role, and what stands on it too. */
const readsIn =
  (palette: Palette, theme: Theme, role: RoleId) =>
  (decision: ColorDecision): boolean => {
    const { ratio, holds } = worst(palette, theme, role, decision)
    return ratio >= (roles[role].needs ?? 0) && holds
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

/** A difference (CIEDE2000) beyond which a shade no longer passes for its colour: common practice, no source. */
const FAR = 25

/**
 * The two or three nearest colours that read where one does not: the nearest
 * shade of the same hue, and the slots nearest in colour (CIEDE2000).
 */
export function nearestChoices(
  palette: Palette,
  now: ColorDecision,
  reads: (decision: ColorDecision) => boolean,
  ratioOf: (decision: ColorDecision) => number,
): ReadableChoice[] {
  const color = decisionColor(palette, now)
  const gap = (decision: ColorDecision) => difference(decisionColor(palette, decision), color)
  const slots = slotsInOrder(palette)
    .filter(({ value }) => value !== null)
    .map(({ id }): ColorDecision => ({ slot: id }))
  const whole = slots.filter(reads).sort((a, b) => gap(a) - gap(b))
  const shades = slots
    .flatMap((slot) => (whole.includes(slot) ? [] : (nearestShade(slot, reads) ?? [])))
    .sort((a, b) => gap(a) - gap(b))
  const own = reads(now) ? now : nearestShade(now, reads)
  const first = [...(own ? [own] : []), ...whole.slice(0, 1)]
  // The same hue first, unless it goes so far that it no longer passes for its colour.
  if (own && gap(own) > FAR) first.reverse()
  const found = [...first, ...shades, ...whole]
  const unique = [...new Map(found.map((each) => [canonicalJson(each), each])).values()]
  return unique.slice(0, 3).map((decision) => ({
    decision,
    color: decisionColor(palette, decision),
    ratio: ratioOf(decision),
  }))
}

/** What would read for a role of a theme, and leave readable what stands on it. None for a role that needs no contrast. */
export function readableChoices(palette: Palette, theme: Theme, role: RoleId): ReadableChoice[] {
  if (roles[role].needs === undefined) return []
  return nearestChoices(
    palette,
    theme.roles[role],
    readsIn(palette, theme, role),
    (decision) => worst(palette, theme, role, decision).ratio,
  )
}

/**
 * A decision as a theme can bear it for a role: itself where it reads there and
 * leaves what stands on it readable, else its nearest shade that does; undefined
 * where none does.
 */
export function bearable(
  palette: Palette,
  theme: Theme,
  role: RoleId,
  decision: ColorDecision,
): ColorDecision | undefined {
  const reads = readsIn(palette, theme, role)
  return reads(decision) ? decision : nearestShade(decision, reads)
}

export interface CellFix {
  readonly role: RoleId
  readonly before: ColorDecision
  readonly after: ColorDecision
}

/**
 * The nearest readable colour for everything in a theme that fails, or for some
 * of its roles only; each found with those before it in place. What has no
 * readable colour in the palette is left out.
 */
export function fixesFor(
  palette: Palette,
  theme: Theme,
  only: readonly RoleId[] = roleIds,
): CellFix[] {
  const fixes: CellFix[] = []
  let fixed = theme
  for (const { role } of failingRoles(palette, [theme])) {
    if (!only.includes(role)) continue
    const [choice] = readableChoices(palette, fixed, role)
    if (!choice) continue
    fixes.push({ role, before: theme.roles[role], after: choice.decision })
    fixed = { ...fixed, roles: { ...fixed.roles, [role]: choice.decision } }
  }
  return fixes
}
