'use client'

import { useDeferredValue, useEffect, useMemo, useState } from 'react'
import { goesBy, roleGroups, roleIds, roles, type RoleId } from '@/core/roles'
import { isBound, slotName, type Frame, type Theme } from '@/core/site'
import { useEditor, useEditorState, useUsedRoles, type SheetRows } from '../editor'
import { themeViews } from './cell-view'
import { SheetBar } from './sheet-bar'
import { SampleWords } from './sheet-cell'
import { SheetPanel } from './sheet-panel'
import { SheetTable } from './sheet-table'
import { Specimen } from './specimen'
import { useColumns, useShownFrame } from './use-sheet'

/** Whether a role answers to what is searched: its name, an everyday word for it, a slot behind it, or “fails”. */
function answers(
  search: string,
  role: RoleId,
  themes: readonly Theme[],
  frame: Frame,
  fails: boolean,
): boolean {
  const wanted = search.trim().toLowerCase()
  if (wanted === '') return true
  if (/^fails?$/.test(wanted)) return fails
  if (goesBy(role, wanted)) return true
  return themes.some(({ roles }) => {
    const decision = roles[role]
    const words = isBound(decision) ? slotName(frame.palette, decision.slot) : decision.value
    return words.toLowerCase().includes(wanted)
  })
}

/** Roles down, themes across: every cell a decision with its contrast. */
export function ThemeSheet() {
  const frame = useShownFrame()
  const cells = useEditorState((state) => state.sheetCells)
  const editor = useEditor()
  const shown = useEditorState((state) => state.sheetRows)
  const setShown = (sheetRows: SheetRows) => editor.show({ sheetRows })
  // Who comes back finds the roles in use again.
  useEffect(() => () => editor.show({ sheetRows: 'used' }), [editor])
  const [search, setSearch] = useState('')
  const [folded, setFolded] = useState<readonly string[]>([])
  const [specimen, setSpecimen] = useState(false)
  const columns = useColumns(frame)
  // What is counted and told beside the sheet comes after the cells themselves are drawn.
  const told = useDeferredValue(frame)
  const toldColumns = useColumns(told)
  const failing = useMemo(
    () =>
      toldColumns.flatMap((theme) => {
        const views = themeViews(told.palette, theme)
        return roleIds.flatMap((role) => (views[role].passes ? [] : [{ theme, role }]))
      }),
    [toldColumns, told.palette],
  )
  const rowsThatFail = useMemo(() => new Set(failing.map(({ role }) => role)), [failing])
  const used = useUsedRoles()
  const isShown = (role: RoleId) =>
    (shown === 'all' ||
      (shown === 'failing' && rowsThatFail.has(role)) ||
      // A row that is chosen, from the trace for example, is in sight though the site does not use it yet.
      (shown === 'used' && (used.has(role) || (cells?.roles.includes(role) ?? false)))) &&
    answers(search, role, columns, frame, rowsThatFail.has(role))
  /** Brings a role's row in sight, whatever was folded, searched or left out. */
  const reveal = (role: RoleId) => {
    setFolded(folded.filter((group) => group !== roles[role].group))
    if (!answers(search, role, columns, frame, rowsThatFail.has(role))) setSearch('')
    if (shown === 'failing' && !rowsThatFail.has(role)) setShown('used')
  }
  const groups = roleGroups
    .map(([group, some]) => ({ group, roles: some.filter(({ id }) => isShown(id)) }))
    .filter(({ roles }) => roles.length > 0)

  return (
    <SampleWords value={frame.name}>
      <div className="grid h-full grid-cols-[minmax(0,1fr)_300px]">
        <div className="flex min-h-0 flex-col">
          <SheetBar
            shown={shown}
            onShown={setShown}
            used={used.size}
            failing={failing.length}
            search={search}
            onSearch={setSearch}
            specimen={specimen}
            onSpecimen={setSpecimen}
          />
          <SheetTable
            frame={frame}
            columns={columns}
            groups={groups}
            folded={folded}
            onFold={(group) =>
              setFolded(
                folded.includes(group)
                  ? folded.filter((each) => each !== group)
                  : [...folded, group],
              )
            }
            empty={
              shown === 'failing' && failing.length === 0
                ? 'All theme pairs have enough contrast.'
                : 'No role answers to that.'
            }
          />
          {specimen && <Specimen frame={frame} onGo={reveal} />}
        </div>
        <aside
          aria-label="Chosen cells"
          aria-busy={told !== frame}
          className="min-h-0 overflow-y-auto border-l border-edge p-4"
        >
          <SheetPanel frame={told} columns={toldColumns} failing={failing} />
        </aside>
      </div>
    </SampleWords>
  )
}
