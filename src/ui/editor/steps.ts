import { toast } from 'sonner'
import type { Editor } from './state'
import { problemWords } from '../words'

export async function stepAndTell(editor: Editor, kind: 'undo' | 'redo'): Promise<void> {
  const problem = await editor.step(kind)
  if (problem) toast.error(problemWords(problem))
}
