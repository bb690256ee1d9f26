'use client'

import { useMemo, useState, type KeyboardEvent, type MouseEvent } from 'react'
import { failingRoles } from '@/core/resolve'
import { themesInOrder, type ThemeId } from '@/core/site'
import { roleGroups, roleName, type RoleId } from '@/core/theme'
import { useEditor, useEditorState } from '../editor'
import { Button, SearchField } from '../kit'
import { SheetCell } from './sheet-cell'
import { SheetPanel } from './sheet-panel'

const ARROWS: Readonly<Record<string, readonly [down: number, across: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

function focusCell(theme: ThemeId, role: RoleId): void {
  document.querySelector<HTMLElement>(`[data-cell="${theme}/${role}"]`)?.focus()
}

/** Roles down, themes across: every cell a decision with its contrast. */
export function ThemeSheet() {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const cells = useEditorState((state) => state.sheetCells)
  const [onlyFailing, setOnlyFailing] = useState(false)
  const [search, setSearch] = useState('')
  const { palette, themes } = docs.frame
  const columns = useMemo(() => themesInOrder(themes), [themes])
  const failing = useMemo(
    () => new Set(failingRoles(palette, columns).map(({ theme, role }) => `${theme.id}/${role}`)),
    [columns, palette],
  )
  const rowsThatFail = new Set([...failing].map((key) => key.split('/')[1]))
  const isShown = (role: RoleId) =>
    (!onlyFailing || rowsThatFail.has(role)) &&
    roleName(role).toLowerCase().includes(search.trim().toLowerCase())
  const shown = roleGroups.flatMap(([, roles]) => roles.map(({ id }) => id)).filter(isShown)

  const select = (role: RoleId, selected: readonly ThemeId[]) =>
    editor.store.setState({ sheetCells: { role, themes: selected } })

  const click = (theme: ThemeId, role: RoleId) => (event: MouseEvent | KeyboardEvent) => {
    if (event.shiftKey && cells?.role === role) {
      const places = [...cells.themes, theme].map((id) => themes.order.indexOf(id))
      return select(role, themes.order.slice(Math.min(...places), Math.max(...places) + 1))
    }
    return select(role, [theme])
  }

  const move = (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key]
    const cell = (event.target as HTMLElement).dataset.cell?.split('/') as
      [ThemeId, RoleId] | undefined
    if (!arrow || !cell) return
    event.preventDefault()
    const row = shown[shown.indexOf(cell[1]) + arrow[0]]
    const theme = themes.order[themes.order.indexOf(cell[0]) + arrow[1]]
    if (!row || !theme) return
    focusCell(theme, row)
    select(
      row,
      event.shiftKey && row === cell[1] && cells ? [...new Set([...cells.themes, theme])] : [theme],
    )
  }

  const focusable =
    cells && shown.includes(cells.role)
      ? `${cells.themes[0]}/${cells.role}`
      : `${themes.order[0]}/${shown[0]}`

  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_300px]">
      <div className="flex min-h-0 flex-col">
        <div className="flex items-center gap-2 px-4 py-3">
          <SearchField label="Find a role" value={search} onChange={setSearch} className="w-48" />
          <Button aria-pressed={onlyFailing} onClick={() => setOnlyFailing(!onlyFailing)}>
            Only what fails, <span className="code">{failing.size}</span>
          </Button>
          <span className="ml-auto text-soft">{columns.length} themes</span>
        </div>
        <div className="min-h-0 flex-1 overflow-auto px-4 pb-6" onKeyDown={move}>
          <table className="w-full border-separate border-spacing-0">
            <thead className="sticky top-0 z-20 bg-panel">
              <tr>
                <th className="w-40 text-left text-xs font-semibold text-soft">Role</th>
                {columns.map((theme) => (
                  <th key={theme.id} className="min-w-32 px-1 pb-1.5 text-left font-bold">
                    {theme.name}
                  </th>
                ))}
              </tr>
            </thead>
            {roleGroups.map(([group, roles]) => {
              const rows = roles.filter(({ id }) => isShown(id))
              return rows.length === 0 ? null : (
                <tbody key={group}>
                  <tr>
                    <th
                      colSpan={columns.length + 1}
                      className="pt-3 pb-1 text-left text-xs font-semibold text-soft"
                    >
                      {group}
                    </th>
                  </tr>
                  {rows.map(({ id: role, label }) => (
                    <tr key={role}>
                      <th className="pr-2 text-left font-normal">
                        <button
                          type="button"
                          title="Choose the whole row"
                          onClick={() => select(role, themes.order)}
                          className="w-full rounded px-1 py-1 text-left hover:bg-hover"
                        >
                          {label}
                        </button>
                      </th>
                      {columns.map((theme) => (
                        <SheetCell
                          key={theme.id}
                          docs={docs}
                          theme={theme}
                          role={role}
                          selected={cells?.role === role && cells.themes.includes(theme.id)}
                          focusable={focusable === `${theme.id}/${role}`}
                          onSelect={click(theme.id, role)}
                        />
                      ))}
                    </tr>
                  ))}
                </tbody>
              )
            })}
          </table>
          {shown.length === 0 && (
            <p className="p-8 text-center text-soft">
              {onlyFailing && failing.size === 0
                ? 'Everything in every theme can be read.'
                : 'No role goes by that name.'}
            </p>
          )}
        </div>
      </div>
      <aside aria-label="Chosen cells" className="min-h-0 overflow-y-auto border-l border-edge p-4">
        <SheetPanel />
      </aside>
    </div>
  )
}
