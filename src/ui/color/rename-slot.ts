import { toast } from 'sonner'
import { themesNamedAfter } from '@/core/generate'
import type { Slot } from '@/core/site'
import { tellOffering, type Editor } from '../editor'
import { editProblemWords, listed } from '../words'

/** Renames a slot; where themes are named after it, offers to rename them, too. */
export function renameSlot(editor: Editor, slot: Slot, name: string): void {
  const { themes } = editor.store.getState().docs.frame
  if (!editor.carryOut({ type: 'renameSlot', slot: slot.id, name })) return
  const named = themesNamedAfter(themes, slot.name, name)
  if (named.length === 0) return
  const before = listed(named.map(({ theme }) => theme.name))
  const after = listed(named.map((each) => each.name))
  const rename = () => {
    const problem = editor.dispatch({
      type: 'together',
      told: `${before} renamed to ${after}`.slice(0, 300),
      edits: named.map((each) => ({
        type: 'renameTheme' as const,
        theme: each.theme.id,
        name: each.name,
      })),
    })
    if (problem) toast.error(`Not renamed: ${editProblemWords[problem]}.`)
  }
  tellOffering(
    editor,
    `${slot.name} is ${name} now. Themes named after it keep their names: ${before}.`,
    { label: `Rename to ${after}`, onClick: rename },
    'theme-names',
  )
}
