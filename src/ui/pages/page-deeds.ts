import { toast } from 'sonner'
import { emptyPage, orderAfter, pageLike } from '@/core/designs/new-page'
import { idFromName, pageId, type Page } from '@/core/site'
import { openAndTell, type Editor } from '../editor'
import { editProblemWords, problemWords } from '../words'
import { beside } from './move-page'

/** What went wrong in words; undefined where nothing did. */
type Wrong = string | undefined

/** Why an address cannot be taken by a page; undefined where it can. */
export async function takenBy(editor: Editor, path: string, page?: Page['id']): Promise<Wrong> {
  const found = await editor.onServer(() => editor.client.pageAt(path))
  if (!found.ok) return problemWords(found.problem)
  if (!found.value || found.value.id === page) return undefined
  return `${found.value.title} has this address already. Give this page another one.`
}

/** Adds a page right behind another one, empty or with all that the other holds, and opens it. */
export async function addPage(
  editor: Editor,
  behind: Page,
  wanted: { readonly title: string; readonly path: string; readonly like: boolean },
): Promise<Wrong> {
  const taken = await takenBy(editor, wanted.path)
  if (taken) return taken
  const next = await beside(editor, behind.id, 1)
  if (!next.ok) return problemWords(next.problem)
  const { title, path } = wanted
  // An id of its own, that no page had before: what was removed can come back.
  const id = pageId.parse(
    `${idFromName(title, [], 'page').slice(0, 30)}-${crypto.randomUUID().slice(0, 8)}`,
  )
  const seat = { id, title, path, order: orderAfter(behind, next.value) }
  const { frame } = editor.store.getState().docs
  const page = wanted.like ? pageLike(behind, seat) : emptyPage(frame, seat)
  const problem = editor.dispatch({ type: 'addPage', page })
  if (problem) return `Not added: ${editProblemWords[problem]}.`
  await openAndTell(editor, id)
  return undefined
}

/** Takes a page away and shows the one beside it. */
export async function removePage(editor: Editor, page: Page): Promise<Wrong> {
  const before = await beside(editor, page.id, -1)
  if (!before.ok) return problemWords(before.problem)
  const other = before.value ? before : await beside(editor, page.id, 1)
  if (!other.ok) return problemWords(other.problem)
  if (other.value) await openAndTell(editor, other.value.id)
  const problem = editor.dispatch({ type: 'removePage', page: page.id })
  if (problem) return `Not removed: ${editProblemWords[problem]}.`
  toast(`${page.title} is removed. Undo brings it back as it was.`)
  return undefined
}
