'use client'

import { toast } from 'sonner'
import { darkEdition } from '@/core/generate'
import type { Edition } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { editProblemWords } from '../words'

/** Whether the site has a dark edition, and who decides which one is seen. */
export function EditionMenu() {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const set = (edition: Edition) => {
    const missing = Object.values(frame.themes.byId).some(({ dark }) => !dark)
    const dark = edition !== 'light' && missing ? darkEdition(frame) : undefined
    const problem = editor.dispatch({ type: 'setEdition', edition, ...(dark ? { dark } : {}) })
    if (problem) return void toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    editor.show({ afterDark: edition !== 'light' })
  }
  return (
    <select
      aria-label="Dark edition"
      value={frame.edition}
      onChange={(event) => set(event.target.value as Edition)}
      className="h-8 w-38 rounded-md border border-edge-strong/60 bg-raised px-2"
    >
      <option value="light">Light edition only</option>
      <option value="visitor">Dark if visitor’s is</option>
      <option value="switch">Dark by a switch</option>
    </select>
  )
}
