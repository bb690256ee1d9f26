import { writeHex, writeRatio } from '@/core/color'
import { writeDecision } from '@/core/edit'
import { groundsOfRole } from '@/core/elements'
import { seenRole, themeReading } from '@/core/resolve'
import { roleIds, type RoleId } from '@/core/roles'
import { isBound, type Palette, type Theme, type ThemeId } from '@/core/site'

/** All that a cell shows, as texts: a cell whose view is the same is not drawn again. */
export interface CellView {
  readonly words: string
  /** The colour itself and what it is drawn on, hex. */
  readonly color: string
  readonly ground: string
  readonly ratio?: string
  readonly needs?: number
  readonly passes: boolean
  readonly loose: boolean
  readonly hand: boolean
}

export type ThemeViews = Readonly<Record<RoleId, CellView>>

function viewOf(palette: Palette, theme: Theme, role: RoleId): CellView {
  const reading = themeReading(palette, theme, role)
  const decision = theme.roles[role]
  return {
    words: writeDecision(palette, decision),
    color: writeHex(seenRole(palette, theme, role)),
    ground: writeHex(seenRole(palette, theme, reading?.on ?? groundsOfRole(role)[0] ?? 'ground')),
    ...(reading ? { ratio: writeRatio(reading.ratio), needs: reading.needs } : {}),
    passes: reading?.passes ?? true,
    loose: !isBound(decision),
    hand: theme.hand.includes(role),
  }
}

/** The roles whose decisions a cell's view comes from. */
const sources = Object.fromEntries(
  roleIds.map((role) => [role, [...new Set([role, 'ground', 'surface', ...groundsOfRole(role)])]]),
) as Record<RoleId, RoleId[]>

interface Made {
  readonly theme: Theme
  readonly views: ThemeViews
}

const made = new WeakMap<Palette, Map<ThemeId, Made>>()

/**
 * The views of a theme's column. An edit leaves the decisions that it does not
 * touch the very same objects, so only the cells are made anew whose decisions,
 * or what they stand on, are others than before.
 */
export function themeViews(palette: Palette, theme: Theme): ThemeViews {
  const known = made.get(palette) ?? new Map<ThemeId, Made>()
  made.set(palette, known)
  const before = known.get(theme.id)
  if (before?.theme === theme) return before.views
  const isOther = (role: RoleId) =>
    before?.theme.roles[role] !== theme.roles[role] ||
    before.theme.hand.includes(role) !== theme.hand.includes(role)
  const others = new Set(roleIds.filter(isOther))
  const views = Object.fromEntries(
    roleIds.map((role) => [
      role,
      before && !sources[role].some((source) => others.has(source))
        ? before.views[role]
        : viewOf(palette, theme, role),
    ]),
  ) as Record<RoleId, CellView>
  known.set(theme.id, { theme, views })
  return views
}

export function cellView(palette: Palette, theme: Theme, role: RoleId): CellView {
  return themeViews(palette, theme)[role]
}
