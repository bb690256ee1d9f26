'use client'

import { ChevronDown, ChevronRight } from 'lucide-react'
import {
  useEffect,
  useMemo,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
  type MouseEvent,
} from 'react'
import { flushSync } from 'react-dom'
import { toast } from 'sonner'
import { readDecision } from '@/core/edit'
import type { Role } from '@/core/roles'
import type { Frame, Theme, ThemeId } from '@/core/site'
import { useEditor, useEditorState, type SheetCells } from '../editor'
import { arrowSteps, type Steps } from '../kit'
import { CellEntry } from './cell-entry'
import { COLUMN_WIDTH, NAMES_WIDTH, useColumnWindow } from './column-window'
import { cellAt, cornerOf, widened } from './sheet-choice'
import { boxOfCell, cellOf, focusCell, type CellBox } from './sheet-place'
import { SheetRow } from './sheet-row'
import { ThemeDialogs, useThemeDeeds } from './theme-deeds'
import { ThemeHead } from './theme-head'
import { cellsOf, copyCells, decideCells, pastedCells } from './use-sheet'

interface SheetTableProps {
  readonly frame: Frame
  readonly columns: readonly Theme[]
  readonly groups: ReadonlyArray<{ readonly group: string; readonly roles: readonly Role[] }>
  readonly folded: readonly string[]
  readonly onFold: (group: string) => void
  readonly empty: string
}

const NOTHING: ReadonlySet<ThemeId> = new Set()

/** The sheet itself. Arrow keys walk, with shift they widen the choice, typing decides, as in a spreadsheet. */
export function SheetTable({ frame, columns, groups, folded, onFold, empty }: SheetTableProps) {
  const editor = useEditor()
  const cells = useEditorState((state) => state.sheetCells)
  const [typing, setTyping] = useState<{ readonly start: string; readonly box: CellBox }>()
  const rows = groups.flatMap(({ group, roles }) => (folded.includes(group) ? [] : roles))
  const grid = { roles: rows.map(({ id }) => id), themes: columns.map(({ id }) => id) }
  const { onDeed, asked, leave } = useThemeDeeds()
  const choose = (next: SheetCells) => editor.show({ sheetCells: next })
  const inChoice = useMemo(
    () => ({ roles: new Set(cells?.roles), themes: new Set(cells?.themes) }),
    [cells],
  )

  const click = (event: MouseEvent) => {
    const column = (event.target as HTMLElement).closest<HTMLElement>('[data-column]')
    if (column) {
      return choose({ roles: grid.roles, themes: [column.dataset.column as ThemeId] })
    }
    const cell = cellOf(event.target)
    if (!cell) return
    const [theme, role] = cell
    choose(event.shiftKey ? widened(grid, cells, role, theme) : { roles: [role], themes: [theme] })
  }
  const walk = (event: KeyboardEvent, steps: Steps) => {
    if (!cells) return
    event.preventDefault()
    const next = cellAt(grid, cornerOf(cells), ...steps)
    if (!next) return
    // The column of the next cell may not be drawn before it is chosen.
    flushSync(() =>
      choose(
        event.shiftKey ? widened(grid, cells, ...next) : { roles: [next[0]], themes: [next[1]] },
      ),
    )
    focusCell(...next)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (typing !== undefined || !cellOf(event.target)) return
    const arrow = arrowSteps[event.key]
    if (arrow) return walk(event, arrow)
    if (event.ctrlKey || event.metaKey || event.altKey || !cells) return
    const isText = event.key.length === 1 && /[\p{L}\p{N}#]/u.test(event.key)
    if (!isText && event.key !== 'Enter' && event.key !== 'F2') return
    const box = boxOfCell(...cornerOf(cells))
    if (box) setTyping({ start: isText ? event.key : '', box })
    event.preventDefault()
    event.stopPropagation()
  }
  const decide = (text: string): string | undefined => {
    if (!cells) return undefined
    const decision = readDecision(frame.palette, text)
    if (!decision) return 'No slot goes by that name, and it is no colour. Try “Ink −8” or #1d5955.'
    decideCells(
      editor,
      cellsOf(cells).map((cell) => ({ ...cell, decision })),
    )
    return undefined
  }
  const leaveTyping = (steps?: Steps) => {
    const corner = cells && cornerOf(cells)
    const next = (corner && steps && cellAt(grid, corner, ...steps)) ?? corner
    // At once, so that no key that follows is lost.
    flushSync(() => {
      setTyping(undefined)
      if (steps && next) choose({ roles: [next[0]], themes: [next[1]] })
    })
    if (next) focusCell(...next)
  }
  const copy = (event: ClipboardEvent) => {
    if (!cells || typing !== undefined) return
    event.preventDefault()
    event.clipboardData.setData('text/plain', copyCells(frame, grid, cells))
  }
  const paste = (event: ClipboardEvent) => {
    if (!cells || typing !== undefined) return
    event.preventDefault()
    const read = pastedCells(frame, grid, cells, event.clipboardData.getData('text/plain'))
    if ('cells' in read) return decideCells(editor, read.cells)
    toast.error(
      `Nothing was pasted: “${read.wrong[0]!.slice(0, 40)}” is neither a slot, a shade nor a colour.`,
    )
  }

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
      onClick={click}
      onKeyDown={onKeyDown}
      onCopy={copy}
      onPaste={paste}
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
        {groups.map(({ group, roles }) => {
          const isFolded = folded.includes(group)
          return (
            <tbody key={group}>
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
                    {isFolded && `, ${roles.length}`}
                  </button>
                </th>
              </tr>
              {!isFolded &&
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
          )
        })}
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
          onAway={() => setTyping(undefined)}
        />
      )}
    </div>
  )
}
