'use client'

import { useEffect, useState } from 'react'
import { toast } from 'sonner'
import type { ThemeUses } from '@/core/payloads'
import type { Theme, ThemeId } from '@/core/site'
import { useEditor, useEditorState, tellUndoable } from '../editor'
import { Button, Dialog } from '../kit'
import { counted, problemWords } from '../words'

interface RemoveThemeProps {
  readonly theme: Theme
  readonly columns: readonly Theme[]
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

/** How many sections of the whole site have a theme; counted where the index is. */
function useSections(theme: ThemeId, wanted: boolean): ThemeUses[ThemeId] | undefined {
  const { client } = useEditor()
  const generation = useEditorState((state) => state.generation)
  const [uses, setUses] = useState<ThemeUses[ThemeId]>()
  useEffect(() => {
    if (!wanted) return undefined
    let asked = true
    void client.themeUses().then((result) => {
      if (asked && result.ok) setUses(result.value[theme] ?? { sections: 0, pages: 0 })
    })
    return () => {
      asked = false
    }
  }, [client, theme, wanted, generation])
  return uses
}

/** Takes a theme away; where sections have it, asks which theme takes over. */
export function RemoveTheme({ theme, columns, open, onOpenChange }: RemoveThemeProps) {
  const editor = useEditor()
  const others = columns.filter(({ id }) => id !== theme.id)
  const [chosen, setChosen] = useState<ThemeId>()
  const [busy, setBusy] = useState(false)
  const to = others.find(({ id }) => id === chosen) ?? others[0]
  const uses = useSections(theme.id, open)
  const sections = uses?.sections
  const remove = async () => {
    if (!to) return
    setBusy(true)
    const result = await editor.wide({ type: 'removeTheme', theme: theme.id, to: to.id })
    setBusy(false)
    if (!result.ok) return void toast.error(problemWords(result.problem))
    editor.show({ sheetCells: undefined })
    onOpenChange(false)
    tellUndoable(editor, `${theme.name} removed.`)
  }
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title={`Remove ${theme.name}`}>
      <div className="grid gap-3">
        <p>
          {sections === undefined && 'Counting the sections that have it …'}
          {sections === 0 && 'No section has this theme.'}
          {!!sections &&
            `${counted(sections, 'section')} on ${counted(uses.pages, 'page')} ${sections === 1 ? 'has' : 'have'} this theme. Which one takes over?`}
        </p>
        {!!sections && (
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
