import { toast } from 'sonner'
import { copyElements, copySection } from '@/core/designs/copies'
import type { Seat } from '@/core/edit'
import { kindOf, type KindId } from '@/core/elements'
import {
  bodyOf,
  elementSchema,
  own,
  seatOf,
  type Body,
  standingOn,
  type PageId,
  type SectionId,
} from '@/core/site'
import { openAndTell, type Editor, type EditorState, type Selection, tellUndoable } from '../editor'
import { newId } from '../new-id'
import { moveElementTo, stepSeat } from './seats'
import { tell } from './tell'

const heldBody = (editor: Editor, { doc }: Selection): Body | undefined =>
  bodyOf(editor.store.getState().docs, doc)

/** Where a chosen section stands among the bands that the page places; -1 of a header or a footer. */
function placeOf({ docs, pageId }: Pick<EditorState, 'docs' | 'pageId'>, { section }: Selection) {
  const { order = [], sections = {} } = docs.pages[pageId]?.body ?? {}
  const bands = order.filter((id) => (own(sections, id)?.kind ?? 'band') === 'band')
  return { order: bands, at: bands.indexOf(section) }
}

/** Asks for a section to put behind the one that is chosen, or last. */
export function addSectionAfter(editor: Editor, selection: Selection | undefined): void {
  const { docs, pageId } = editor.store.getState()
  const order = docs.pages[pageId]?.body.order ?? []
  const isHeader =
    selection?.doc === 'frame' && docs.frame.body.sections[selection.section]?.kind === 'header'
  const at = isHeader ? -1 : selection ? order.indexOf(selection.section) : order.length - 1
  const before = at < 0 && !isHeader ? undefined : order[at + 1]
  editor.show({ adding: before ? { before } : {} })
}

/** Puts the same once more right behind it, and chooses that. */
export function duplicate(editor: Editor, selection: Selection): void {
  const body = heldBody(editor, selection)
  if (!body) return
  const { doc, section, element } = selection
  if (element) {
    const { into, list, at } = seatOf(body, section, element)
    const { top, elements } = copyElements(body, [element], newId)
    const to: Seat = {
      section,
      ...(into ? { into } : {}),
      ...(list[at + 1] ? { before: list[at + 1] } : {}),
    }
    const both = { top: [...top], elements: [...elements] }
    const problem = editor.dispatch({ type: 'addElements', doc, to, ...both })
    if (tell('Not duplicated', problem)) {
      editor.show({ selection: { doc, section, element: top[0] } })
    }
    return
  }
  const found = body.sections[section]
  const { pageId } = editor.store.getState()
  const { order, at } = placeOf(editor.store.getState(), selection)
  if (!found || at < 0) return
  const copy = copySection(body, found, newId)
  const before = order[at + 1]
  const problem = editor.dispatch({
    type: 'addSection',
    doc: pageId,
    section: { ...copy.section, kind: 'band' },
    elements: [...copy.elements],
    ...(before ? { before } : {}),
  })
  if (tell('Not duplicated', problem)) {
    editor.show({ selection: { doc: pageId, section: copy.section.id, property: 'fill' } })
    if (doc === 'frame') toast(`${found.name} is a part; the second one is this page’s own.`)
  }
}

/** Whether something can be moved a step among those beside it. */
export function canStep(
  state: Pick<EditorState, 'docs' | 'pageId'>,
  selection: Selection,
  by: 1 | -1,
): boolean {
  if (selection.element) return !!stepSeat(state, selection, selection.element, by)
  const { order, at } = placeOf(state, selection)
  return at >= 0 && order[at + by] !== undefined
}

/** Moves something a step: among those beside it, out of what holds it, into the section beyond. */
export function moveStep(editor: Editor, selection: Selection, by: 1 | -1): void {
  if (!canStep(editor.store.getState(), selection, by)) return
  const { section, element } = selection
  if (element) {
    const to = stepSeat(editor.store.getState(), selection, element, by)
    if (to) moveElementTo(editor, selection, element, to)
    return
  }
  const { order, at } = placeOf(editor.store.getState(), selection)
  const { pageId } = editor.store.getState()
  moveSectionBefore(editor, pageId, section, order[by > 0 ? at + 2 : at - 1])
}

/** Puts a section before another one of its page, or last. */
export function moveSectionBefore(
  editor: Editor,
  doc: PageId,
  section: SectionId,
  before: SectionId | undefined,
): void {
  const place = before ? { before } : {}
  tell('Not moved', editor.dispatch({ type: 'moveSection', doc, section, ...place }))
}

/** Takes something away and chooses what stood beside it. */
export function remove(editor: Editor, selection: Selection): void {
  const body = heldBody(editor, selection)
  if (!body) return
  const { doc, section, element } = selection
  if (element) {
    const { into, list, at } = seatOf(body, section, element)
    const found = body.elements[element]!
    const next = list[at + 1] ?? list[at - 1] ?? into
    if (!tell('Not removed', editor.dispatch({ type: 'removeElement', doc, element }))) return
    editor.show({
      selection: { doc, section, ...(next ? { element: next } : { property: 'fill' }) },
    })
    tellUndoable(editor, `${kindOf(found.kind).label} removed.`, 'removed')
    return
  }
  const { docs, pageId } = editor.store.getState()
  const found = body.sections[section]
  if (!found || !docs.pages[pageId]?.body.order.includes(section)) {
    toast.error(
      'Header and footer stay with the site. Hide one, or make it this page’s own and take that away.',
    )
    return
  }
  const near = standingOn(docs.frame, docs.pages[pageId])
  const here = near.findIndex((each) => each.doc === doc && each.section.id === section)
  const next = near[here + 1] ?? near[here - 1]
  const problem = editor.dispatch({ type: 'removeSection', doc: pageId, section })
  if (!tell('Not removed', problem)) return
  editor.show({
    selection: next && { doc: next.doc, section: next.section.id, property: 'fill' },
  })
  const told =
    doc === 'frame'
      ? `Part ${found.name} removed from this page; the library keeps it.`
      : `Section ${found.name} removed.`
  tellUndoable(editor, told, 'removed')
}

export function hide(editor: Editor, selection: Selection, hidden: boolean): void {
  const { doc, section } = selection
  const name = heldBody(editor, selection)?.sections[section]?.name
  const problem = editor.dispatch({ type: 'setSection', doc, section, hidden })
  if (!tell('Not kept', problem)) return
  tellUndoable(
    editor,
    hidden ? `${name} is hidden. The outline still lists it.` : `${name} is shown again.`,
    'hidden',
  )
}

/** Puts an element into a new one that takes its place. */
export function putInto(
  editor: Editor,
  { doc, section, element }: Selection,
  kind: 'card' | 'group',
): void {
  if (!element) return
  const holder = elementSchema.parse({ id: newId(kind), kind, content: kindOf(kind).fresh ?? {} })
  const problem = editor.dispatch({ type: 'wrapElement', doc, element, holder })
  if (tell('Not put into it', problem)) {
    editor.show({ selection: { doc, section, element: holder.id } })
  }
}

/** Adds an element behind the one that is chosen, into it where it holds others, or last in the section. */
export function addElement(editor: Editor, selection: Selection, kind: KindId): void {
  const body = heldBody(editor, selection)
  if (!body) return
  const { doc, section, element: chosen } = selection
  const found = chosen && body.elements[chosen]
  const holds = found && kindOf(found.kind).holds
  const seat = chosen && !holds ? seatOf(body, section, chosen) : undefined
  const into = holds ? chosen : seat?.into
  const before = seat?.list[seat.at + 1]
  const element = elementSchema.parse({ id: newId(kind), kind, content: kindOf(kind).fresh })
  const problem = editor.dispatch({
    type: 'addElements',
    doc,
    to: { section, ...(into ? { into } : {}), ...(before ? { before } : {}) },
    top: [element.id],
    elements: [element],
  })
  if (tell('Not added', problem)) editor.show({ selection: { doc, section, element: element.id } })
}

/** Copies a section to another page, last there, and goes to it. */
export async function copyToPage(
  editor: Editor,
  { doc, section: id }: Selection,
  page: PageId,
): Promise<void> {
  const body = bodyOf(editor.store.getState().docs, doc)
  const section = body && own(body.sections, id)
  if (!body || !section) return
  const { section: again, elements } = copySection(body, section, newId)
  await openAndTell(editor, page)
  if (editor.store.getState().pageId !== page) return
  const title = editor.store.getState().docs.pages[page]?.title
  if (doc === 'frame') {
    // A part stands there as what it is.
    const failed = editor.dispatch({ type: 'placePart', doc: page, part: id })
    if (!tell('Not put there', failed)) return
    editor.show({ selection: { doc, section: id, property: 'fill' } })
    toast(`Part ${section.name} stands on ${title} as well.`)
    return
  }
  const problem = editor.dispatch({
    type: 'addSection',
    doc: page,
    section: { ...again, kind: 'band' },
    elements: [...elements],
  })
  if (!tell('Not copied', problem)) return
  editor.show({ selection: { doc: page, section: again.id, property: 'fill' } })
  toast(`${section.name} is copied to ${title}.`)
}
