'use client'

import { ChevronDown, ChevronRight } from 'lucide-react'
import { useEffect, useMemo, useRef, type ComponentProps } from 'react'
import type { Role } from '@/core/roles'
import type { Frame, Theme, ThemeId } from '@/core/site'
import { CellEntry } from './cell-entry'
import { COLUMN_WIDTH, NAMES_WIDTH, useColumnWindow } from './column-window'
import { cornerOf } from './sheet-choice'
import { focusCell } from './sheet-place'
import { SheetRow } from './sheet-row'
import { ThemeDialogs, useThemeDeeds } from './theme-deeds'
import { ThemeHead } from './theme-head'
import { useSheetHands } from './use-sheet-hands'

interface SheetTableProps {
  readonly frame: Frame
  readonly columns: readonly Theme[]
  readonly groups: ReadonlyArray<{ readonly group: string; readonly roles: readonly Role[] }>
  readonly folded: readonly string[]
  readonly onFold: (group: string) => void
  readonly empty: string
}

const NOTHING: ReadonlySet<ThemeId> = new Set()

interface SheetHeadProps {
  readonly columns: readonly Theme[]
  readonly onDeed: ComponentProps<typeof ThemeHead>['onDeed']
}

function SheetHead({ columns, onDeed }: SheetHeadProps) {
  return (
    <thead className="sticky top-0 z-20 bg-panel">
      <tr>
        <th className="sticky left-0 z-10 w-40 min-w-40 bg-panel text-left text-xs font-semibold text-soft">
          Role
        </th>
        {columns.map(({ id, name }, i) => (
          <ThemeHead
            key={id}
            id={id}
            name={name}
            isFirst={i === 0}
            isLast={i === columns.length - 1}
            onDeed={onDeed}
          />
        ))}
      </tr>
    </thead>
  )
}

interface GroupHeadProps {
  readonly group: string
  readonly count: number
  readonly isFolded: boolean
  readonly onFold: (group: string) => void
}

function GroupHead({ group, count, isFolded, onFold }: GroupHeadProps) {
  return (
    <tr>
      <th className="sticky left-0 z-10 bg-panel pt-2.5 pb-0.5 text-left">
        <button
          type="button"
          aria-expanded={!isFolded}
          onClick={() => onFold(group)}
          className="flex items-center gap-0.5 rounded text-xs font-semibold text-soft hover:text-ink"
        >
          {isFolded ? <ChevronRight size={13} /> : <ChevronDown size={13} />}
          {group}
          {isFolded && `, ${count}`}
        </button>
      </th>
    </tr>
  )
}

/** The sheet itself. */
export function SheetTable({ frame, columns, groups, folded, onFold, empty }: SheetTableProps) {
  const rows = groups.flatMap(({ group, roles }) => (folded.includes(group) ? [] : roles))
  const grid = { roles: rows.map(({ id }) => id), themes: columns.map(({ id }) => id) }
  const { onDeed, asked, leave } = useThemeDeeds()
  const { cells, choose, typing, decide, leaveTyping, away, on } = useSheetHands(frame, grid)
  const inChoice = useMemo(
    () => ({ roles: new Set(cells?.roles), themes: new Set(cells?.themes) }),
    [cells],
  )

  const inSight = cells && grid.roles.includes(cells.roles[0]!) ? cells : undefined
  const tabRole = inSight?.roles.at(-1) ?? grid.roles[0]
  const tabTheme = inSight?.themes.at(-1) ?? grid.themes[0]
  const sheet = useRef<HTMLDivElement>(null)
  const spans = useColumnWindow(sheet, columns.length, grid.themes.indexOf(tabTheme!))
  useEffect(() => {
    // Chosen elsewhere, on a page for example: the sheet opens at that very cell.
    if (inSight) focusCell(...cornerOf(inSight))
  }, []) // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <div
      ref={sheet}
      data-sheet
      className="relative min-h-0 flex-1 scroll-pt-9 scroll-pl-44 overflow-auto px-4 pb-6"
      onClick={on.click}
      onKeyDown={on.onKeyDown}
      onCopy={on.copy}
      onPaste={on.paste}
    >
      <table
        className="w-full table-fixed border-separate border-spacing-0"
        // Of fixed widths: a table that fits its columns to their words lays every cell out anew at each change.
        style={{ minWidth: NAMES_WIDTH + columns.length * COLUMN_WIDTH }}
      >
        <colgroup>
          <col style={{ width: NAMES_WIDTH }} />
          <col span={columns.length} />
        </colgroup>
        <SheetHead columns={columns} onDeed={onDeed} />
        {groups.map(({ group, roles }) => (
          <tbody key={group}>
            <GroupHead
              group={group}
              count={roles.length}
              isFolded={folded.includes(group)}
              onFold={onFold}
            />
            {!folded.includes(group) &&
              roles.map(({ id, label }) => (
                <SheetRow
                  key={id}
                  role={id}
                  label={label}
                  palette={frame.palette}
                  columns={columns}
                  spans={spans}
                  chosen={inChoice.roles.has(id) ? inChoice.themes : NOTHING}
                  tabTheme={id === tabRole ? tabTheme : undefined}
                  onChoose={() => choose({ roles: [id], themes: grid.themes })}
                />
              ))}
          </tbody>
        ))}
      </table>
      {groups.length === 0 && <p className="p-8 text-center text-soft">{empty}</p>}
      <ThemeDialogs asked={asked} columns={columns} onLeave={leave} />
      {typing !== undefined && cells && (
        <CellEntry
          box={typing.box}
          start={typing.start}
          names={frame.palette.order.map((id) => frame.palette.slots[id]?.name ?? '')}
          onDecide={decide}
          onLeave={leaveTyping}
          onAway={away}
        />
      )}
    </div>
  )
}
