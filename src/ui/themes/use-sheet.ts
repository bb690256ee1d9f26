import { useMemo } from 'react'
import { toast } from 'sonner'
import { tidyShade } from '@/core/color'
import type { Edit } from '@/core/edit'
import { readDecision, writeDecision } from '@/core/edit'
import { afterDark, cellsAlong, darkEdition, lightEdition } from '@/core/generate'
import { stepShade } from '@/core/palette'
import { roleName, type RoleId } from '@/core/roles'
import {
  canonicalJson,
  isBound,
  themesInOrder,
  type ColorDecision,
  type Frame,
  type Theme,
  type ThemeId,
} from '@/core/site'
import { isAfterDark, useEditorState, type Editor, type SheetCells } from '../editor'
import { counted, editProblemWords } from '../words'
import type { SheetGrid } from './sheet-choice'

/** The frame as it is this moment, for deeds that start from what is decided. */
export function shownFrame(editor: Editor): Frame {
  const state = editor.store.getState()
  const { frame } = state.docs
  return isAfterDark(state) ? afterDark(frame) : frame
}

/** The frame as the sheet shows it: in its light edition or after dark. */
export function useShownFrame(): Frame {
  const frame = useEditorState((state) => state.docs.frame)
  const dark = useEditorState(isAfterDark)
  return useMemo(() => (dark ? afterDark(frame) : frame), [frame, dark])
}

export interface CellDecision {
  readonly theme: ThemeId
  readonly role: RoleId
  readonly decision: ColorDecision
  /** Whether a person decides it, where it differs from the others. */
  readonly hand?: boolean
}

/** `Link in On Paper`, `12 cells`. */
export function tellCells(cells: readonly CellDecision[], frame: Frame): string {
  const [first] = cells
  const roles = new Set(cells.map(({ role }) => role))
  const themes = new Set(cells.map(({ theme }) => theme))
  if (!first || (roles.size > 1 && themes.size > 1)) return counted(cells.length, 'cell')
  if (roles.size > 1) {
    return `${roles.size} roles in ${frame.themes.byId[first.theme]?.name ?? first.theme}`
  }
  const where =
    themes.size > 1
      ? counted(themes.size, 'theme')
      : (frame.themes.byId[first.theme]?.name ?? first.theme)
  return `${roleName(first.role)} in ${where}`
}

/** `Main button, fill in On Paper: Brand`; what goes along is part of it. */
export function tellDecided(
  editor: Editor,
  cells: ReadonlyArray<Omit<CellDecision, 'decision'>>,
  decision: ColorDecision,
): string {
  const { frame } = editor.store.getState().docs
  const decided = cells.map((cell) => ({ ...cell, decision }))
  return `${tellCells(decided, frame)}: ${writeDecision(frame.palette, decision)}`.slice(0, 160)
}

/** Decides cells by hand, or leaves them to be generated; tells what is wrong. */
export function decideCells(
  editor: Editor,
  cells: readonly CellDecision[],
  { hand = true, told }: { readonly hand?: boolean; readonly told?: string } = {},
): void {
  if (cells.length === 0) return
  const state = editor.store.getState()
  const { docs } = state
  const dark = isAfterDark(state)
  const words = writeDecision(docs.frame.palette, cells[0]!.decision)
  const same = cells.every(({ decision }) => writeDecision(docs.frame.palette, decision) === words)
  const edit: Edit = {
    type: 'setCells',
    told: told ?? `${tellCells(cells, docs.frame)}${same ? `: ${words}` : ''}`,
    cells: cells.map((each) => ({ ...each, ...(dark ? { dark: true as const } : {}) })),
    hand,
  }
  const problem = editor.dispatch(edit)
  if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
}

/** Makes cells that are bound to a slot lighter or darker, by points of OKLCH lightness; loose ones stay. */
export function shiftCells(
  editor: Editor,
  cells: ReadonlyArray<Omit<CellDecision, 'decision'>>,
  points: number,
): void {
  const { byId } = shownFrame(editor).themes
  const shifted = cells.flatMap((cell): CellDecision[] => {
    const decision = byId[cell.theme]?.roles[cell.role]
    if (!decision || !isBound(decision)) return []
    const shade = tidyShade(stepShade(decision.shade, points))
    return [{ ...cell, decision: { slot: decision.slot, ...(shade ? { shade } : {}) } }]
  })
  const way = points < 0 ? 'darker' : 'lighter'
  decideCells(editor, shifted, {
    told: `${counted(shifted.length, 'cell')} ${Math.abs(points)} ${way}`,
  })
  const left = cells.length - shifted.length
  if (left > 0)
    toast(`${counted(left, 'cell')} stayed: no slot decides there, so there is no shade to move.`)
}

/** Cells decided by hand, with what belongs to them where that is to go along; what is decided itself stays so. */
export function withAlong(editor: Editor, cells: readonly CellDecision[]): CellDecision[] {
  if (!editor.store.getState().goAlong) return [...cells]
  return [...cells, ...cellsAlong(shownFrame(editor), cells)]
}

/** Leaves cells to be generated, around what is decided by hand of the roles beside them. */
export function backToGenerated(
  editor: Editor,
  cells: ReadonlyArray<Omit<CellDecision, 'decision'>>,
  wanted: readonly RoleId[],
): void {
  const state = editor.store.getState()
  const edition = isAfterDark(state) ? darkEdition : lightEdition
  const made = edition(state.docs.frame, wanted)
  const back = cells.flatMap((cell): CellDecision[] => {
    const decision = made[cell.theme]?.[cell.role]
    return decision ? [{ ...cell, decision }] : []
  })
  if (back.length === 0) {
    return void toast.error('The palette holds no colour to generate from. Fill a slot.')
  }
  const { byId } = shownFrame(editor).themes
  const isThere = ({ theme, role, decision }: CellDecision) => {
    const now = byId[theme]
    return !now?.hand.includes(role) && canonicalJson(now?.roles[role]) === canonicalJson(decision)
  }
  if (back.every(isThere)) return void toast('Nothing changed: this is as it was generated.')
  decideCells(editor, back, {
    hand: false,
    told: `${counted(back.length, 'cell')} back to generated`,
  })
}

export function cellsOf({ roles, themes }: SheetCells): Array<Omit<CellDecision, 'decision'>> {
  return themes.flatMap((theme) => roles.map((role) => ({ theme, role })))
}

/** The chosen cells as a table of texts, tab between columns: any spreadsheet reads it. */
export function copyCells(frame: Frame, grid: SheetGrid, cells: SheetCells): string {
  const roles = grid.roles.filter((role) => cells.roles.includes(role))
  const themes = grid.themes.filter((theme) => cells.themes.includes(theme))
  return roles
    .map((role) =>
      themes
        .map((theme) => writeDecision(frame.palette, frame.themes.byId[theme]!.roles[role]))
        .join('\t'),
    )
    .join('\n')
}

/**
 * Pasted text as decisions from the first chosen cell on; a table is repeated to
 * fill the choice. Gives the texts that are no decision instead, if there are any.
 */
export function pastedCells(
  frame: Frame,
  grid: SheetGrid,
  cells: SheetCells,
  text: string,
): { readonly cells: CellDecision[] } | { readonly wrong: string[] } {
  const table = text
    .replace(/\r/g, '')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t'))
  const height = table.length
  const width = Math.max(...table.map((row) => row.length))
  const top = Math.min(...cells.roles.map((role) => grid.roles.indexOf(role)))
  const left = Math.min(...cells.themes.map((theme) => grid.themes.indexOf(theme)))
  const rows = Math.max(height, cells.roles.length)
  const columns = Math.max(width, cells.themes.length)
  const found: CellDecision[] = []
  const wrong: string[] = []
  for (let down = 0; down < rows; down += 1) {
    for (let across = 0; across < columns; across += 1) {
      const role = grid.roles[top + down]
      const theme = grid.themes[left + across]
      const typed = table[down % height]![across % width]
      if (!role || !theme || typed === undefined) continue
      const decision = readDecision(frame.palette, typed)
      if (decision) found.push({ theme, role, decision })
      else wrong.push(typed)
    }
  }
  return wrong.length ? { wrong } : { cells: found }
}

export function useColumns(frame: Frame): readonly Theme[] {
  return useMemo(() => themesInOrder(frame.themes), [frame.themes])
}
