import { toast } from 'sonner'
import type { PageId } from '@/core/site'
import type { Step } from '@/core/sync'
import type { Editor } from './state'
import { problemWords } from '../words'

/** Where what a step is about was made, if that is not here and now. */
const ORIGIN: Readonly<Record<Step['origin'], string>> = {
  here: '',
  elsewhere: ', which was done in another window',
  before: ', from before you opened this window',
}

/** What a step would do, for its button. */
export const stepWords = (kind: 'undo' | 'redo', { told, origin }: Step): string =>
  `${kind === 'undo' ? 'Takes back' : 'Does again'}: ${told}${ORIGIN[origin]}`

export async function stepAndTell(editor: Editor, kind: 'undo' | 'redo'): Promise<void> {
  const { [kind]: step } = editor.store.getState()
  const problem = await editor.step(kind)
  if (problem) return void toast.error(problemWords(problem))
  if (!step) return
  const done = kind === 'undo' ? 'Taken back' : 'Done again'
  toast(`${done}: ${step.told}${ORIGIN[step.origin]}.`, { id: 'step' })
}

/**
 * Says what was just done, with a way to take that very change back. The message is gone as soon
 * as something else would be taken back: it never undoes what it does not speak of.
 */
export function tellUndoable(editor: Editor, words: string, id?: string): void {
  const nextStep = () => editor.store.getState().undo?.id
  const own = nextStep()
  if (!own) return void toast(words, { id })
  const shown = toast(words, {
    id,
    action: {
      label: 'Undo',
      onClick: () => {
        if (nextStep() === own) void stepAndTell(editor, 'undo')
      },
    },
    onDismiss: () => stop(),
    onAutoClose: () => stop(),
  })
  const stop = editor.store.subscribe(() => {
    if (nextStep() === own) return
    stop()
    toast.dismiss(shown)
  })
}

export async function openAndTell(editor: Editor, page: PageId): Promise<void> {
  const problem = await editor.openPage(page)
  if (problem) toast.error(`The page could not be opened. ${problemWords(problem)}`)
}
