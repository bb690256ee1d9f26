'use client'

import { useEffect } from 'react'
import { toast } from 'sonner'
import { openAndTell, stepAndTell, type DeviceWidth, type Editor } from '../editor'
import { problemWords } from '../words'

/** Every shortcut, as the help lists it. */
export const shortcuts: ReadonlyArray<readonly [keys: string, does: string]> = [
  ['F', 'find where something is set, by any name'],
  ['1 … 9', 'edit that slot of the palette'],
  [', and .', 'page before, page after'],
  ['arrows', 'on the page: walk what is on it, section by section with ← →'],
  ['Shift click, Shift ↑ and ↓', 'on the page: choose several, to be changed together'],
  ['Enter, double click', 'on the page: write the words where they stand'],
  ['N', 'on the page: add a section behind the chosen one'],
  ['Alt ↑ and ↓', 'move the chosen section or element among those beside it'],
  ['Ctrl D; Delete; Alt H', 'duplicate; remove; hide or show its section'],
  ['Ctrl B, I, K; F6', 'while writing: strong, emphasis, link; to the bar of the words'],
  ['Tab', 'while writing: to the words beside these'],
  ['W', 'next width: desktop, tablet, phone'],
  ['T', 'name the theme of each section on the page, or no longer'],
  ['P', 'take the focused slot in hand; then arrows, Space, + and −, Enter: paint with it'],
  ['wheel, Space', 'while a slot is dragged: a shade of it, another colour of the thing'],
  ['Alt ← and →', 'move the slot that is focused in the tray'],
  ['arrows, shift', 'on the theme sheet and the rhythm: walk, widen the choice'],
  ['arrows, Enter', 'on the specimen: walk its colours, go to the cell'],
  ['typing, Enter', 'on the theme sheet: decide the chosen cells'],
  ['Ctrl C and V', 'on the theme sheet: copy and paste cells'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['Esc', 'close the innermost: a panel, what is tried, what is chosen'],
  ['?', 'this list'],
]

const WIDTHS: readonly DeviceWidth[] = ['desktop', 'tablet', 'phone']

/** What takes letters; of a choice only the arrow keys are its own. */
const TYPED_INTO =
  'input:not([type=radio], [type=checkbox]), textarea, [contenteditable=true], [role=dialog]'

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest(TYPED_INTO) !== null

/** Whether undo is about text that was typed and not taken yet: that is the browser's. */
function isInChangedText(target: EventTarget | null): boolean {
  if (target instanceof HTMLElement && target.isContentEditable) return true
  const field = target instanceof HTMLElement && target.closest('input, textarea')
  if (!field) return false
  const { changed } = (field as HTMLElement).dataset
  if (changed !== undefined) return changed === 'true'
  const isText =
    field instanceof HTMLTextAreaElement || /^(text|search)$/.test((field as HTMLInputElement).type)
  return isText && (field as HTMLInputElement | HTMLTextAreaElement).value !== ''
}

/** Closes the innermost of what is open in the window; a trial that is let go can be had back. */
function closeInnermost(editor: Editor): void {
  const { trial, words } = editor.store.getState()
  if (words) return editor.show({ words: undefined })
  if (!trial) return editor.show({ selection: undefined })
  editor.show({ trial: undefined, middle: 'page', divider: undefined })
  toast('The palette on trial is put away.', {
    id: 'trial',
    action: { label: 'Show it again', onClick: () => editor.show({ trial }) },
  })
}

async function turnPage(editor: Editor, by: number): Promise<void> {
  const { docs, pageId } = editor.store.getState()
  const page = docs.pages[pageId]
  const next = page && (await editor.client.pageBeside(pageId, by))
  if (!next) return
  if (!next.ok) toast.error(`The page could not be turned. ${problemWords(next.problem)}`)
  else if (next.value) void openAndTell(editor, next.value.id)
}

/** The shortcuts, while no text is being typed. */
export function useShortcuts(editor: Editor, onHelp: () => void, onFind: () => void): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const { store } = editor
      const state = store.getState()
      if (
        (event.ctrlKey || event.metaKey) &&
        event.key.toLowerCase() === 'z' &&
        !isInChangedText(event.target)
      ) {
        event.preventDefault()
        void stepAndTell(editor, event.shiftKey ? 'redo' : 'undo')
        return
      }
      // A menu or a list that was open took the key.
      if (event.defaultPrevented) return
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
      const slot = state.docs.frame.palette.order[Number(event.key) - 1]
      if (/^[1-9]$/.test(event.key) && slot) editor.show({ openSlot: slot })
      else if (event.key === ',') void turnPage(editor, -1)
      else if (event.key === '.') void turnPage(editor, 1)
      else if (event.key.toLowerCase() === 'w') {
        const at = WIDTHS.indexOf(state.width)
        editor.show({ width: WIDTHS[(at + 1) % WIDTHS.length]! })
      } else if (event.key.toLowerCase() === 't') editor.show({ chipNames: !state.chipNames })
      else if (event.key === '?') onHelp()
      else if (event.key.toLowerCase() === 'f') onFind()
      else if (event.key === 'Escape') closeInnermost(editor)
      else return
      event.preventDefault()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [editor, onHelp, onFind])
}
