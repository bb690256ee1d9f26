import { toast } from 'sonner'
import type { PageEntry, Result } from '@/core/payloads'
import { orderBetween, type Page } from '@/core/site'
import type { Editor } from '../editor'
import { editProblemWords, problemWords } from '../words'

/** The neighbour of a page as the server has it, once all of ours is stored. */
export const beside = (
  editor: Editor,
  page: Page['id'],
  by: number,
): Promise<Result<PageEntry | null>> => editor.onServer(() => editor.client.pageBeside(page, by))

/** Puts a page before the one before it, or behind the one behind it. */
export async function movePage(editor: Editor, page: Page, by: -1 | 1): Promise<void> {
  const near = await beside(editor, page.id, by)
  if (!near.ok) return void toast.error(problemWords(near.problem))
  if (!near.value) {
    toast(`${page.title} stands ${by < 0 ? 'first' : 'last'} already.`)
    return
  }
  const far = await beside(editor, near.value.id, by)
  if (!far.ok) return void toast.error(problemWords(far.problem))
  const [passed, end] = [near.value.order, far.value?.order ?? null]
  const order = by < 0 ? orderBetween(end, passed) : orderBetween(passed, end)
  const problem = editor.dispatch({ type: 'movePage', page: page.id, order })
  if (problem) toast.error(`Not moved: ${editProblemWords[problem]}.`)
}
