import { useState, type ClipboardEvent, type KeyboardEvent, type MouseEvent } from 'react'
import { flushSync } from 'react-dom'
import { toast } from 'sonner'
import { readDecision } from '@/core/edit'
import type { Frame, ThemeId } from '@/core/site'
import { useEditor, useEditorState, type SheetCells } from '../editor'
import { arrowSteps, type Steps } from '../kit'
import { cellAt, cornerOf, widened, type SheetGrid } from './sheet-choice'
import { boxOfCell, cellOf, focusCell, type CellBox } from './sheet-place'
import { cellsOf, copyCells, decideCells, pastedCells, tellDecided, withAlong } from './use-sheet'

/** What is typed into a cell, from its first letter on, and where the cell is. */
interface Typing {
  readonly start: string
  readonly box: CellBox
}

/** Choosing cells by pointer and arrow keys. */
function useChoice(grid: SheetGrid) {
  const editor = useEditor()
  const cells = useEditorState((state) => state.sheetCells)
  const choose = (next: SheetCells) => editor.show({ sheetCells: next })
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
  return { cells, choose, click, walk }
}

/** The sheet by hand: arrow keys walk, with shift they widen the choice, typing decides, cells are copied and pasted. */
export function useSheetHands(frame: Frame, grid: SheetGrid) {
  const editor = useEditor()
  const { cells, choose, click, walk } = useChoice(grid)
  const [typing, setTyping] = useState<Typing>()
  const onKeyDown = (event: KeyboardEvent) => {
    // A whole row or column that was chosen by its head is decided from there.
    const isHead = (event.target as HTMLElement).closest('[data-head]') !== null
    if (typing !== undefined || !(isHead || cellOf(event.target))) return
    const arrow = arrowSteps[event.key]
    if (arrow) return walk(event, arrow)
    if (event.ctrlKey || event.metaKey || event.altKey || !cells) return
    const isText = event.key.length === 1 && /[\p{L}\p{N}#]/u.test(event.key)
    if (!isText && event.key !== 'F2' && (isHead || event.key !== 'Enter')) return
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
      withAlong(
        editor,
        cellsOf(cells).map((cell) => ({ ...cell, decision })),
      ),
      { told: tellDecided(editor, cellsOf(cells), decision) },
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
  const away = () => setTyping(undefined)
  return { cells, choose, typing, decide, leaveTyping, away, on: { click, onKeyDown, copy, paste } }
}
