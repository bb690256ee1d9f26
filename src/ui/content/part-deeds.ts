import { toast } from 'sonner'
import { own, sectionId, walkSection, type Body, type ElementId, type SectionId } from '@/core/site'
import type { Editor, Selection } from '../editor'
import { newId } from '../new-id'
import { tell } from './tell'

/** New ids for all that stands in a section. */
function newIdsIn(body: Body, section: SectionId): Record<ElementId, ElementId> {
  const ids: Record<ElementId, ElementId> = {}
  const found = own(body.sections, section)
  if (found) {
    walkSection(body, found, ({ id, kind }) => {
      ids[id] = newId(kind) as ElementId
    })
  }
  return ids
}

/** Keeps a section of the page as a part of the site, and chooses that. */
export function keepPart(editor: Editor, { section }: Selection): void {
  const { docs, pageId } = editor.store.getState()
  const body = docs.pages[pageId]?.body
  if (!body) return
  const part = sectionId.parse(newId('part'))
  const ids = newIdsIn(body, section)
  const problem = editor.dispatch({ type: 'keepPart', doc: pageId, section, part, ids })
  if (!tell('Not kept as a part', problem)) return
  editor.show({ selection: { doc: 'frame', section: part, property: 'fill' } })
  const { name } = editor.store.getState().docs.frame.body.sections[part]!
  toast(`${name} is a part now: “Add a section” puts it on other pages.`)
}

/** Gives the page a section of its own in place of a part, and chooses that. */
export function loosenPart(editor: Editor, { section: part }: Selection): void {
  const { docs, pageId } = editor.store.getState()
  const section = sectionId.parse(newId('section'))
  const ids = newIdsIn(docs.frame.body, part)
  const problem = editor.dispatch({ type: 'loosenPart', doc: pageId, part, section, ids })
  if (!tell('Not loosened', problem)) return
  editor.show({ selection: { doc: pageId, section, property: 'fill' } })
  toast('It is this page’s own now: what is changed in it changes nowhere else.')
}

/** Puts a part on the page, before one of its sections or last, and chooses it; false where it could not. */
export function placePart(editor: Editor, part: SectionId, before?: SectionId): boolean {
  const { pageId: doc } = editor.store.getState()
  const place = before ? { before } : {}
  const problem = editor.dispatch({ type: 'placePart', doc, part, ...place })
  if (!tell('Not put here', problem)) return false
  editor.show({ selection: { doc: 'frame', section: part, property: 'fill' } })
  return true
}
