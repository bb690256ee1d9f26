import type { RoleId } from '@/core/roles'
import type { ThemeId } from '@/core/site'
import type { SheetCells } from '../editor'

/** The rows and columns of the sheet as they are shown, in their order. */
export interface SheetGrid {
  readonly roles: readonly RoleId[]
  readonly themes: readonly ThemeId[]
}

/** From `from` to `to` in an order, `from` first. */
function span<T>(order: readonly T[], from: T, to: T): T[] {
  const [a, b] = [order.indexOf(from), order.indexOf(to)]
  if (a < 0 || b < 0) return [to]
  return a <= b ? order.slice(a, b + 1) : order.slice(b, a + 1).reverse()
}

/** The block from where the choice began to a cell. */
export function widened(
  grid: SheetGrid,
  cells: SheetCells | undefined,
  role: RoleId,
  theme: ThemeId,
): SheetCells {
  const [firstRole, firstTheme] = [cells?.roles[0] ?? role, cells?.themes[0] ?? theme]
  return {
    roles: span(grid.roles, firstRole, role),
    themes: span(grid.themes, firstTheme, theme),
  }
}

/** The far corner of a block: where it is widened from. */
export function cornerOf(cells: SheetCells): readonly [RoleId, ThemeId] {
  return [cells.roles.at(-1)!, cells.themes.at(-1)!]
}

/** The cell some steps down and across; undefined beyond the edge. */
export function cellAt(
  { roles, themes }: SheetGrid,
  [role, theme]: readonly [RoleId, ThemeId],
  down: number,
  across: number,
): readonly [RoleId, ThemeId] | undefined {
  const nextRole = roles[roles.indexOf(role) + down]
  const nextTheme = themes[themes.indexOf(theme) + across]
  return nextRole && nextTheme ? [nextRole, nextTheme] : undefined
}
