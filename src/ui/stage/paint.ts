import { toast } from 'sonner'
import type { Brush, Editor, Selection } from '../editor'
import { editProblemWords } from '../words'
import { painting } from './brush'

/** Binds what a brush is over, and whatever else is painted with it; then that is what is chosen. */
export function paint(editor: Editor, brush: Brush, target: Selection): void {
  const { docs, selection, also = [] } = editor.store.getState()
  const found = painting(docs, brush, target, selection ? [selection, ...also] : also)
  if (!found) return void toast.error('That has no colour of its own to be painted.')
  const problem = editor.dispatch(found.edit)
  if (problem) return void toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
  const [first, ...others] = found.targets
  editor.show({ selection: first, also: others })
}
