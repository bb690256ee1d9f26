import { toast } from 'sonner'
import type { PageId } from '@/core/site'
import type { Editor } from './state'
import { problemWords } from '../words'

export async function stepAndTell(editor: Editor, kind: 'undo' | 'redo'): Promise<void> {
  const problem = await editor.step(kind)
  if (problem) toast.error(problemWords(problem))
}

export async function openAndTell(editor: Editor, page: PageId): Promise<void> {
  const problem = await editor.openPage(page)
  if (problem) toast.error(`The page could not be opened. ${problemWords(problem)}`)
}
