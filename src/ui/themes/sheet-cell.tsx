import { createContext, memo, use } from 'react'
import { roleName, roles, type RoleId } from '@/core/roles'
import type { CellView } from './cell-view'

interface SheetCellProps extends CellView {
  readonly themeId: string
  readonly themeName: string
  readonly role: RoleId
  readonly selected: boolean
  readonly focusable: boolean
}

/** One decision: as it looks on its ground, with slot or shade and contrast in a strip that is always readable. */
export const SheetCell = memo(function SheetCell(props: SheetCellProps) {
  const { themeId, themeName, role, selected, focusable, words, ratio, needs, passes } = props
  const told = `${roleName(role)}, ${themeName}: ${words}${ratio ? `, contrast ${ratio}, ${passes ? 'passes AA' : `too low, needs ${needs}`}` : ''}${props.hand ? ', by hand' : ''}`
  return (
    <td className="p-px">
      <button
        type="button"
        data-cell={`${themeId}/${role}`}
        tabIndex={focusable ? 0 : -1}
        aria-pressed={selected}
        aria-label={told}
        className="relative block h-[50px] w-full overflow-hidden rounded-[3px] text-left ring-1 [contain-intrinsic-size:auto_50px] [content-visibility:auto] ring-black/15 aria-pressed:z-10 aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-ink"
      >
        <Sample role={role} color={props.color} ground={props.ground} />
        <span
          className={`code flex justify-between gap-1 bg-raised px-1.5 py-px text-[11px] ${passes ? '' : 'font-bold'}`}
        >
          <span className="truncate">
            {props.hand && <span title="Decided by hand">✎ </span>}
            {words}
          </span>
          <span
            className={`shrink-0 ${passes ? 'text-soft' : 'rounded-sm bg-strong px-1 text-on-strong'}`}
          >
            {ratio && `${passes ? '✓' : '×'} ${ratio}`}
          </span>
        </span>
      </button>
    </td>
  )
})

interface SampleProps {
  readonly role: RoleId
  readonly color: string
  readonly ground: string
}

/** What samples of text say: the name of the site, which is never wrong on it. */
export const SampleWords = createContext('Words')

/** A role as it looks where it stands: a fill, a line, words. */
export function Sample({ role, color, ground }: SampleProps) {
  const { paints } = roles[role]
  const words = use(SampleWords)
  if (paints === 'fill') {
    return (
      <span className="block h-8 p-1.5" style={{ background: ground }}>
        <span
          className="block size-full rounded-[2px] ring-1 ring-black/10"
          style={{ background: color }}
        />
      </span>
    )
  }
  if (paints === 'line') {
    return (
      <span className="flex h-8 items-center px-2" style={{ background: ground }}>
        <span className="h-0.5 w-12" style={{ background: color }} />
      </span>
    )
  }
  return (
    <span
      className={`flex h-8 items-center px-2 text-[14px] ${role === 'heading' ? 'font-bold' : ''} ${/link/i.test(role) ? 'underline' : ''}`}
      style={{ background: ground, color }}
    >
      <span className="truncate">{role === 'accent' ? '◆ ◆' : words}</span>
    </span>
  )
}
