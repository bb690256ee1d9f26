'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import { sectionsInOrder, type Theme, type ThemeId } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Button, Dialog } from '../kit'
import { counted, problemWords } from '../words'

interface RemoveThemeProps {
  readonly theme: Theme
  readonly columns: readonly Theme[]
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

/** Takes a theme away; where sections have it, asks which theme takes over. */
export function RemoveTheme({ theme, columns, open, onOpenChange }: RemoveThemeProps) {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const pages = useEditorState((state) => state.pages)
  const others = columns.filter(({ id }) => id !== theme.id)
  const [chosen, setChosen] = useState<ThemeId>()
  const [busy, setBusy] = useState(false)
  const to = others.find(({ id }) => id === chosen) ?? others[0]
  const shared = sectionsInOrder(frame.body).filter((section) => section.theme === theme.id).length
  const onPages = pages.map(
    ({ summary }) => summary.bands.filter((band) => band.theme === theme.id).length,
  )
  const sections = shared + onPages.reduce((sum, count) => sum + count, 0)
  const remove = async () => {
    if (!to) return
    setBusy(true)
    const result = await editor.onServer((base) => editor.client.removeTheme(base, theme.id, to.id))
    setBusy(false)
    if (!result.ok) return void toast.error(problemWords(result.problem))
    editor.store.setState({ sheetCells: undefined })
    onOpenChange(false)
    toast(`${theme.name} removed. Undo brings it back with all its sections.`)
  }
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title={`Remove ${theme.name}`}>
      <div className="grid gap-3">
        <p>
          {sections === 0
            ? 'No section has this theme.'
            : `${counted(sections, 'section')} on ${counted(onPages.filter(Boolean).length, 'page')} ${sections === 1 ? 'has' : 'have'} this theme. Which one takes over?`}
        </p>
        {sections > 0 && (
          <select
            aria-label="The theme that takes over"
            value={to?.id}
            onChange={(event) => setChosen(event.target.value as ThemeId)}
            className="h-8 rounded-md border border-edge-strong/60 bg-raised px-2"
          >
            {others.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        )}
        <Button look="strong" disabled={busy || !to} onClick={() => void remove()}>
          {busy ? 'Removing …' : `Remove ${theme.name}`}
        </Button>
      </div>
    </Dialog>
  )
}
