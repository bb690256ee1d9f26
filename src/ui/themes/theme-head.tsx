'use client'

import { Ellipsis } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useState } from 'react'
import { toast } from 'sonner'
import type { Edit } from '@/core/edit'
import { idFromName, nameText, themeId, type Theme } from '@/core/site'
import { useEditor } from '../editor'
import { Dialog, TextField } from '../kit'
import { editProblemWords } from '../words'
import { RemoveTheme } from './remove-theme'

interface ThemeHeadProps {
  readonly theme: Theme
  readonly columns: readonly Theme[]
  readonly onChoose: () => void
}

const ITEM = 'rounded px-2.5 py-1.5 outline-none data-highlighted:bg-hover data-disabled:opacity-40'

/** A theme's name at the head of its column, and what can be done with the theme as a whole. */
export function ThemeHead({ theme, columns, onChoose }: ThemeHeadProps) {
  const editor = useEditor()
  const [dialog, setDialog] = useState<'rename' | 'remove'>()
  const at = columns.findIndex(({ id }) => id === theme.id)
  const run = (edit: Edit): boolean => {
    const problem = editor.dispatch(edit)
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    return !problem
  }
  const move = (by: number) => {
    const order = columns.map(({ id }) => id).filter((id) => id !== theme.id)
    run({ type: 'orderThemes', order: order.toSpliced(at + by, 0, theme.id) })
  }
  const duplicate = () => {
    const names = new Set(columns.map(({ name }) => name.toLowerCase()))
    let name = `${theme.name.slice(0, 50)} copy`
    for (let n = 2; names.has(name.toLowerCase()); n += 1)
      name = `${theme.name.slice(0, 48)} copy ${n}`
    const ids = columns.map(({ id }) => id)
    const id = themeId.parse(idFromName(name, ids, 'theme'))
    run({ type: 'addTheme', theme: { ...theme, id, name }, after: theme.id })
  }
  const rename = (typed: string) => {
    const name = nameText.safeParse(typed)
    if (!name.success) return 'A name has 1 to 60 characters.'
    const problem = editor.dispatch({ type: 'renameTheme', theme: theme.id, name: name.data })
    if (problem) return `Not renamed: ${editProblemWords[problem]}.`
    setDialog(undefined)
    return undefined
  }
  return (
    <th className="min-w-36 px-0.5 pb-1 text-left font-bold">
      <span className="flex items-center">
        <button
          type="button"
          title="Choose the whole column"
          onClick={onChoose}
          className="min-w-0 flex-1 truncate rounded px-1 py-0.5 text-left hover:bg-hover"
        >
          {theme.name}
        </button>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger
            aria-label={`The theme ${theme.name}`}
            className="flex size-6 items-center justify-center rounded hover:bg-hover"
          >
            <Ellipsis size={14} />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              className="z-40 min-w-40 rounded-lg border border-edge bg-raised p-1 font-normal shadow-xl"
            >
              <DropdownMenu.Item className={ITEM} onSelect={() => setDialog('rename')}>
                Rename …
              </DropdownMenu.Item>
              <DropdownMenu.Item className={ITEM} onSelect={duplicate}>
                Duplicate
              </DropdownMenu.Item>
              <DropdownMenu.Item className={ITEM} disabled={at === 0} onSelect={() => move(-1)}>
                Move to the left
              </DropdownMenu.Item>
              <DropdownMenu.Item
                className={ITEM}
                disabled={at === columns.length - 1}
                onSelect={() => move(1)}
              >
                Move to the right
              </DropdownMenu.Item>
              <DropdownMenu.Separator className="my-1 h-px bg-edge" />
              <DropdownMenu.Item
                className={ITEM}
                disabled={columns.length < 2}
                onSelect={() => setDialog('remove')}
              >
                Remove …
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </span>
      <Dialog
        open={dialog === 'rename'}
        onOpenChange={() => setDialog(undefined)}
        title={`Rename ${theme.name}`}
      >
        <TextField label="Name" value={theme.name} onCommit={rename} />
      </Dialog>
      <RemoveTheme
        theme={theme}
        columns={columns}
        open={dialog === 'remove'}
        onOpenChange={() => setDialog(undefined)}
      />
    </th>
  )
}
