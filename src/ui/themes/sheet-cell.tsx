import { decisionWords } from '@/core/edit'
import { writeHex, writeRatio } from '@/core/color'
import { seenRole, themeReading } from '@/core/resolve'
import type { SiteDocs, Theme } from '@/core/site'
import { roleName, roles, type RoleId } from '@/core/theme'
import type { KeyboardEvent, MouseEvent } from 'react'

interface SheetCellProps {
  readonly docs: SiteDocs
  readonly theme: Theme
  readonly role: RoleId
  readonly selected: boolean
  readonly focusable: boolean
  readonly onSelect: (event: MouseEvent | KeyboardEvent) => void
}

/** One decision: as it looks on its ground, with slot or shade and contrast in a strip that is always readable. */
export function SheetCell(props: SheetCellProps) {
  const { docs, theme, role, selected, focusable, onSelect } = props
  const { palette } = docs.frame
  const reading = themeReading(palette, theme, role)
  const words = decisionWords(theme.roles[role], docs)
  const verdict = reading ? `${reading.passes ? '✓' : '×'} ${writeRatio(reading.ratio)}` : ''
  return (
    <td className="p-px">
      <button
        type="button"
        data-cell={`${theme.id}/${role}`}
        tabIndex={focusable ? 0 : -1}
        aria-pressed={selected}
        aria-label={`${roleName(role)}, ${theme.name}: ${words}${reading ? `, contrast ${writeRatio(reading.ratio)}, ${reading.passes ? 'reads well' : `needs ${reading.needs}`}` : ''}`}
        onClick={onSelect}
        className="relative block w-full overflow-hidden rounded-[3px] text-left ring-1 ring-black/15 aria-pressed:z-10 aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-ink"
      >
        <Sample docs={docs} theme={theme} role={role} />
        <span
          className={`code flex justify-between gap-1 bg-raised px-1.5 py-px text-[11px] ${reading && !reading.passes ? 'font-bold' : ''}`}
        >
          <span className="truncate">{words}</span>
          <span
            className={`shrink-0 ${reading && !reading.passes ? 'rounded-sm bg-strong px-1 text-on-strong' : 'text-soft'}`}
          >
            {verdict}
          </span>
        </span>
      </button>
    </td>
  )
}

function Sample({ docs, theme, role }: Pick<SheetCellProps, 'docs' | 'theme' | 'role'>) {
  const { palette } = docs.frame
  const hex = (id: RoleId) => writeHex(seenRole(palette, theme, id))
  const { paints, on } = roles[role]
  const ground = hex(on[0] ?? 'ground')
  if (paints === 'fill') {
    return (
      <span className="block h-8 p-1.5" style={{ background: hex('ground') }}>
        <span className="block size-full rounded-[2px]" style={{ background: hex(role) }} />
      </span>
    )
  }
  if (paints === 'line') {
    return (
      <span className="flex h-8 items-center px-2" style={{ background: ground }}>
        <span className="h-0.5 w-12" style={{ background: hex(role) }} />
      </span>
    )
  }
  return (
    <span
      className={`flex h-8 items-center px-2 text-[14px] ${role === 'heading' ? 'font-bold' : ''} ${/link/i.test(role) ? 'underline' : ''}`}
      style={{ background: ground, color: hex(role) }}
    >
      {role === 'accent' ? '◆ ◆' : 'Bound by hand'}
    </span>
  )
}
