'use client'

import { useCallback, useState } from 'react'
import { toast } from 'sonner'
import type { Edit } from '@/core/edit'
import {
  freeThemeName,
  idFromName,
  themeId,
  themesInOrder,
  type Theme,
  type ThemeId,
} from '@/core/site'
import { useEditor, type Editor } from '../editor'
import { Dialog, TextField } from '../kit'
import { readName } from '../names'
import { editProblemWords } from '../words'
import { RemoveTheme } from './remove-theme'
import type { ThemeDeed } from './theme-head'

function run(editor: Editor, edit: Edit): void {
  const problem = editor.dispatch(edit)
  if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
}

function move(editor: Editor, theme: ThemeId, by: number): void {
  const { order } = editor.store.getState().docs.frame.themes
  const others = order.filter((id) => id !== theme)
  const at = Math.max(0, order.indexOf(theme) + by)
  run(editor, { type: 'orderThemes', order: others.toSpliced(at, 0, theme) })
}

function duplicate(editor: Editor, id: ThemeId): void {
  const { themes } = editor.store.getState().docs.frame
  const theme = themes.byId[id]
  if (!theme) return
  const name = freeThemeName(`${theme.name.slice(0, 48)} copy`, themesInOrder(themes))
  const copy = { ...theme, id: themeId.parse(idFromName(name, themes.order, 'theme')), name }
  run(editor, { type: 'addTheme', theme: copy, after: id })
}

type Asked = { readonly theme: ThemeId; readonly deed: 'rename' | 'remove' } | undefined

/** What the heads of the columns ask for; dialogs for those deeds that need an answer. */
export function useThemeDeeds() {
  const editor = useEditor()
  const [asked, setAsked] = useState<Asked>()
  const onDeed = useCallback(
    (theme: ThemeId, deed: ThemeDeed) => {
      if (deed === 'duplicate') duplicate(editor, theme)
      else if (deed === 'left') move(editor, theme, -1)
      else if (deed === 'right') move(editor, theme, 1)
      else setAsked({ theme, deed })
    },
    [editor],
  )
  return { onDeed, asked, leave: () => setAsked(undefined) }
}

interface ThemeDialogsProps {
  readonly asked: Asked
  readonly columns: readonly Theme[]
  readonly onLeave: () => void
}

export function ThemeDialogs({ asked, columns, onLeave }: ThemeDialogsProps) {
  const editor = useEditor()
  const theme = columns.find(({ id }) => id === asked?.theme)
  if (!asked || !theme) return null
  const rename = (typed: string) => {
    const read = readName(typed)
    if (!read.ok) return read.wrong
    const problem = editor.dispatch({ type: 'renameTheme', theme: theme.id, name: read.name })
    if (problem) return `Not renamed: ${editProblemWords[problem]}.`
    onLeave()
    return undefined
  }
  if (asked.deed === 'remove') {
    return <RemoveTheme theme={theme} columns={columns} open onOpenChange={onLeave} />
  }
  return (
    <Dialog open onOpenChange={onLeave} title={`Rename ${theme.name}`}>
      <TextField label="Name" value={theme.name} onCommit={rename} />
    </Dialog>
  )
}
