import { toast } from 'sonner'
import { demoSites } from '@demo/sites'
import { applyEdit, type Edit } from '@/core/edit'
import { siteDocs, type ElementId, type PageId, type SectionId, type SiteDocs } from '@/core/site'
import type { Editor, EditorState, Selection } from '../editor'
import { addElement, canStep, duplicate, hide, moveStep, putInto, remove } from './deeds'
import { dropElement } from './seats'

jest.mock('sonner', () => ({ toast: Object.assign(jest.fn(), { error: jest.fn() }) }))
jest.mock('../editor', () => ({ openAndTell: jest.fn(), tellUndoable: jest.fn() }))

const { frame, pages } = demoSites[0]!
const page = 'home' as PageId
const opening: Selection = { doc: page, section: 'opening' as SectionId, property: 'fill' }

function start() {
  let docs: SiteDocs = siteDocs(frame, pages)
  let selection: Selection | undefined
  const editor = {
    store: { getState: () => ({ docs, pageId: page, selection }) as EditorState },
    dispatch(edit: Edit) {
      const result = applyEdit(docs, edit)
      if (!result.ok) return result.problem
      docs = result.docs
      return undefined
    },
    show: (view: { selection?: Selection }) => (selection = view.selection),
  } as unknown as Editor
  return {
    editor,
    body: () => docs.pages[page]!.body,
    docs: () => docs,
    selection: () => selection,
  }
}
beforeEach(() => jest.mocked(toast.error).mockClear())

test('a section is put once more right behind itself, moved, and taken away; what stood beside it is chosen', () => {
  const window = start()
  const before = [...window.body().order]
  duplicate(window.editor, opening)
  const copy = window.selection()!.section
  expect(window.body().order.slice(0, 2)).toEqual(['opening', copy])
  moveStep(window.editor, window.selection()!, -1)
  expect(window.body().order.slice(0, 2)).toEqual([copy, 'opening'])
  expect(canStep({ docs: window.docs(), pageId: page }, { doc: page, section: copy }, -1)).toBe(
    false,
  )
  moveStep(window.editor, { doc: page, section: copy }, -1)
  expect(window.body().order[0]).toBe(copy)
  remove(window.editor, { doc: page, section: copy })
  expect(window.body().order).toEqual(before)
  expect(window.selection()).toMatchObject({ section: 'opening' })
})

test('header and footer are hidden, and never taken away', () => {
  const window = start()
  const header: Selection = { doc: 'frame', section: 'header' as SectionId }
  remove(window.editor, header)
  expect(toast.error).toHaveBeenCalled()
  hide(window.editor, header, true)
  expect(window.docs().frame.body.sections['header' as SectionId]!.hidden).toBe(true)
  duplicate(window.editor, header)
  expect(window.docs().frame.body.order).toEqual(frame.body.order)
})

test('an element is put once more, moved among those beside it, put into a card, and taken away', () => {
  const window = start()
  const list = () => window.body().sections['opening' as SectionId]!.children
  const [column, element] = list() as [ElementId, ElementId]
  duplicate(window.editor, { ...opening, element })
  const copy = window.selection()!.element!
  expect(list()).toEqual([column, element, copy])
  moveStep(window.editor, window.selection()!, -1)
  expect(list()).toEqual([column, copy, element])
  putInto(window.editor, { ...opening, element: copy }, 'card')
  const card = window.selection()!.element!
  expect(window.body().elements[card]).toMatchObject({ kind: 'card', children: [copy] })
  expect(list()).toEqual([column, card, element])
  // What is added with a card chosen stands in it; with something in it chosen, behind that.
  addElement(window.editor, { ...opening, element: card }, 'paragraph')
  const added = window.selection()!.element!
  addElement(window.editor, { ...opening, element: copy }, 'divider')
  const between = window.selection()!.element!
  expect(window.body().elements[card]!.children).toEqual([copy, between, added])
  remove(window.editor, { ...opening, element: card })
  for (const id of [card, copy, between, added]) expect(window.body().elements[id]).toBeUndefined()
  expect(list()).toEqual([column, element])
})

test('an element steps out of what holds it and into the next section; a header keeps its own', () => {
  const window = start()
  const { body } = window
  const [column] = body().sections['opening' as SectionId]!.children as [ElementId]
  const inner = body().elements[column]!.children!.at(-1)!
  moveStep(window.editor, { ...opening, element: inner }, 1)
  expect(body().sections['opening' as SectionId]!.children.indexOf(inner)).toBe(1)
  moveStep(window.editor, { ...opening, element: inner }, 1)
  moveStep(window.editor, { ...opening, element: inner }, 1)
  const next = body().order[1]!
  expect(body().sections[next]!.children[0]).toBe(inner)
  expect(window.selection()).toMatchObject({ section: next, element: inner })
  moveStep(window.editor, window.selection()!, -1)
  expect(body().sections['opening' as SectionId]!.children.at(-1)).toBe(inner)
  // Nothing lies above the first section, nor beyond a header.
  moveStep(window.editor, { ...opening, element: column }, -1)
  expect(body().sections['opening' as SectionId]!.children[0]).toBe(column)
  const { frame } = window.docs()
  const last = frame.body.sections['header' as SectionId]!.children.at(-1)!
  const header = { doc: 'frame', section: 'header' as SectionId, element: last } as const
  expect(canStep({ docs: window.docs(), pageId: page }, header, 1)).toBe(false)
})

test('an element is dropped before another one, into what holds others, or into a section; not out of a part', () => {
  const window = start()
  const { body } = window
  const list = (id: string) => body().sections[id as SectionId]!.children
  const [column, picture] = list('opening') as [ElementId, ElementId]
  const next = body().order[1]!
  dropElement(window.editor, { doc: page, element: picture }, { doc: page, section: next })
  expect(list(next).at(-1)).toBe(picture)
  const back = { doc: page, section: opening.section, element: column }
  dropElement(window.editor, { doc: page, element: picture }, back)
  expect(body().elements[column]!.children!.at(-1)).toBe(picture)
  const [first] = body().elements[column]!.children as [ElementId]
  dropElement(window.editor, { doc: page, element: picture }, { ...back, element: first })
  expect(body().elements[column]!.children![0]).toBe(picture)
  const before = window.docs()
  dropElement(window.editor, { doc: page, element: picture }, { ...back, element: picture })
  dropElement(
    window.editor,
    { doc: page, element: picture },
    { doc: 'frame', section: 'header' as SectionId },
  )
  expect(window.docs()).toBe(before)
  expect(toast.error).toHaveBeenCalledWith(expect.stringContaining('stays there'))
})
