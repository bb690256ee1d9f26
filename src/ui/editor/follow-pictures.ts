import { picturesIn, type SiteDocs } from '@/core/site'
import type { Editor } from './state'

/** The pictures that the page which is shown names and that are not at hand. */
function missingIn({ docs, pageId }: { readonly docs: SiteDocs; readonly pageId: string }) {
  const page = docs.pages[pageId as keyof typeof docs.pages]
  const named = [...picturesIn(docs.frame).ids, ...(page ? picturesIn(page).ids : [])]
  return named.filter((id) => id && !Object.hasOwn(docs.pictures, id))
}

/**
 * Fetches the pictures that came into view: somebody else has put them there, or an undo has.
 * One that the site does not have is asked for once.
 */
export function followPictures(editor: Editor): () => void {
  const asked = new Set<string>()
  const look = async () => {
    const missing = missingIn(editor.store.getState()).filter((id) => !asked.has(id))
    if (missing.length === 0) return
    for (const id of missing) asked.add(id)
    const found = await editor.client.picturesByIds(missing)
    if (found.ok) editor.holdPictures(found.value)
    else for (const id of missing) asked.delete(id)
  }
  return editor.store.subscribe((state, before) => {
    if (state.docs !== before.docs || state.pageId !== before.pageId) void look()
  })
}
