import { toast } from 'sonner'
import { demoSites } from '@demo/sites'
import { applyEdit, type Edit } from '@/core/edit'
import type { Runs } from '@/core/elements'
import { siteDocs, type PageId, type SectionId, type SiteDocs } from '@/core/site'
import type { Editor, WordsPlace } from '../editor'
import { createKeeping, type Conflict } from './words-keeping'

jest.mock('sonner', () => ({ toast: Object.assign(jest.fn(), { error: jest.fn() }) }))
const told = jest.mocked(toast)

const { frame, pages } = demoSites[0]!
const page = 'home' as PageId
const first = Object.values(pages.find(({ id }) => id === page)!.body.elements).find(
  ({ kind }) => kind === 'heading',
)!
const place: WordsPlace = {
  doc: page,
  section: 'opening' as SectionId,
  element: first.id,
  at: ['runs'],
}

/** A window with a field in it: what is typed stands in `field`. */
function start() {
  let docs: SiteDocs = siteDocs(frame, pages)
  const window = { field: (first.content as { runs: Runs }).runs, shown: [] as unknown[] }
  let conflict: Conflict | undefined
  const dispatch = (edit: Edit) => {
    const result = applyEdit(docs, edit)
    if (!result.ok) return result.problem
    docs = result.docs
    keeping.follow(docs)
    return undefined
  }
  const editor = {
    store: { getState: () => ({ docs }) },
    dispatch,
    show: (view: unknown) => window.shown.push(view),
  } as unknown as Editor
  const keeping = createKeeping({
    leavesEmpty: false,
    editor,
    place,
    first,
    written: () => window.field,
    put: (runs) => (window.field = runs),
    onConflict: (next) => (conflict = next),
  })
  const stored = () => (docs.pages[page]!.body.elements[first.id]?.content as { runs: Runs })?.runs
  /** Somebody else writes there, or takes the element away. */
  const other = (edit: Partial<Edit>) => {
    const result = applyEdit(docs, { doc: page, element: first.id, ...edit } as Edit)
    if (!result.ok) throw new Error(result.problem)
    docs = result.docs
    keeping.follow(docs)
  }
  const theirs = (text: string) =>
    other({ type: 'setContent', at: ['runs'], was: stored(), to: [{ text }] } as Partial<Edit>)
  return { window, keeping, stored, other, theirs, conflict: () => conflict }
}

/** Presses the button of the word that was told. */
function pressed(): void {
  const { action } = told.mock.calls[0]![1] as { action?: unknown }
  ;(action as { onClick: () => void }).onClick()
}

beforeEach(() => told.mockClear())

test('what is written is kept, once', () => {
  const { window, keeping, stored } = start()
  window.field = [{ text: 'Ours' }]
  expect(keeping.save()).toBe(true)
  expect(stored()).toEqual([{ text: 'Ours' }])
  expect(keeping.save()).toBe(true)
})

test('what others write comes in where ours is kept', () => {
  const { window, theirs, conflict } = start()
  theirs('Theirs')
  expect(window.field).toEqual([{ text: 'Theirs' }])
  expect(conflict()).toBeUndefined()
})

test('where ours is not kept yet, both are told, and either can be taken', () => {
  for (const [take, stands] of [
    ['keepOurs', 'Ours'],
    ['takeTheirs', 'Theirs'],
  ] as const) {
    const { window, theirs, conflict, stored } = start()
    window.field = [{ text: 'Ours' }]
    theirs('Theirs')
    expect(conflict()?.theirs).toBe('Theirs')
    expect(window.field).toEqual([{ text: 'Ours' }])
    conflict()![take]()
    expect(conflict()).toBeUndefined()
    expect(stored()).toEqual([{ text: stands }])
    expect(window.field).toEqual([{ text: stands }])
  }
})

test('a field that closes on words which cannot be kept offers to put them there', () => {
  const { window, keeping, theirs, stored } = start()
  window.field = [{ text: 'Ours' }]
  theirs('Theirs')
  keeping.saveAtLast()
  pressed()
  expect(stored()).toEqual([{ text: 'Ours' }])
})

test('an element that is taken away meanwhile can be put back with what was written', () => {
  const { window, other, keeping } = start()
  window.field = [{ text: 'Ours, unkept' }]
  other({ type: 'removeElement' } as Partial<Edit>)
  expect(window.shown).toEqual([{ words: undefined, selection: undefined }])
  expect(told.mock.calls[0]![0]).toContain('Ours, unkept')
  pressed()
  expect(told.error).not.toHaveBeenCalled()
  keeping.stop()
})
