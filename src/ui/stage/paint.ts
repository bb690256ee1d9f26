import { toast } from 'sonner'
import type { Editor } from '../editor'
import { editProblemWords } from '../words'
import { paintingNow } from './brush'

/** Lays the slot in hand down: binds what it is over, and whatever else is painted with it; then that is what is chosen. */
export function paint(editor: Editor): void {
  const work = paintingNow(editor.store.getState())
  editor.show({ brush: undefined, dropTarget: undefined })
  if (!work) return void toast.error('That has no colour of its own to be painted.')
  const problem = editor.dispatch(work.edit)
  if (problem) return void toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  const [first, ...others] = work.targets
  editor.show({ selection: first, also: others })
}
