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

interface Offer {
  readonly label: string
  readonly onClick: () => void
}

/**
 * Says what was just done, with what can be done about it. The message is gone as soon as something
 * else was done: its offer is about nothing but what it speaks of.
 */
export function tellOffering(editor: Editor, words: string, offer: Offer, id?: string): void {
  const nextStep = () => editor.store.getState().undo?.id
  const own = nextStep()
  if (!own) return void toast(words, { id })
  const shown = toast(words, {
    id,
    action: {
      label: offer.label,
      onClick: () => {
        if (nextStep() === own) offer.onClick()
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

/** Says what was just done, with a way to take that very change back, and no other. */
export const tellUndoable = (editor: Editor, words: string, id?: string): void =>
  tellOffering(
    editor,
    words,
    { label: 'Undo', onClick: () => void stepAndTell(editor, 'undo') },
    id,
  )

export async function openAndTell(editor: Editor, page: PageId): Promise<void> {
  const problem = await editor.openPage(page)
  if (problem) toast.error(`The page could not be opened. ${problemWords(problem)}`)
}
