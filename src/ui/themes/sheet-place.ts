import type { RoleId } from '@/core/roles'
import type { ThemeId } from '@/core/site'

/** Where a cell stands on the sheet that scrolls, in pixels of it. */
export interface CellBox {
  readonly left: number
  readonly top: number
  readonly width: number
}

const cellNode = (role: RoleId, theme: ThemeId) =>
  document.querySelector<HTMLElement>(`[data-cell="${theme}/${role}"]`)

/** The cell that something on the sheet belongs to. */
export function cellOf(target: EventTarget): readonly [ThemeId, RoleId] | undefined {
  const cell = (target as HTMLElement).closest<HTMLElement>('[data-cell]')
  return cell?.dataset.cell?.split('/') as [ThemeId, RoleId] | undefined
}

/** Focuses a cell; the browser brings it in sight, clear of the heads and the names. */
export function focusCell(role: RoleId, theme: ThemeId): void {
  cellNode(role, theme)?.focus()
}

/** Brings a cell in sight and leaves the focus where it is. */
export function showCell(role: RoleId, theme: ThemeId): void {
  cellNode(role, theme)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
}

export function boxOfCell(role: RoleId, theme: ThemeId): CellBox | undefined {
  const cell = cellNode(role, theme)
  const sheet = cell?.closest<HTMLElement>('[data-sheet]')
  if (!cell || !sheet) return undefined
  const [own, outer] = [cell.getBoundingClientRect(), sheet.getBoundingClientRect()]
  return {
    left: own.left - outer.left + sheet.scrollLeft,
    top: own.top - outer.top + sheet.scrollTop,
    width: Math.max(150, own.width),
  }
}
