import { ternFrame } from '@demo/tern/frame'
import { home } from '@demo/tern/home'
import type { SectionId } from '@/core/site'
import { outlineOf, rowKey, seenRows } from './outline-rows'

const rows = outlineOf(ternFrame, home)
const words = (list: typeof rows) => list.map((row) => row.words)

test('everything on a page is in it once, in the order of the page', () => {
  const sections = rows.filter(({ depth }) => depth === 0)
  expect(sections[0]!.words).toBe('Header')
  expect(sections.at(-1)!.words).toBe('Footer')
  expect(sections).toHaveLength(home.body.order.length + 2)
  const elements = rows.filter(({ doc, element }) => doc === home.id && element)
  expect(elements).toHaveLength(Object.keys(home.body.elements).length)
  expect(new Set(rows.map(rowKey)).size).toBe(rows.length)
})

test('hidden sections are in it, and told', () => {
  const [first] = home.body.order
  const section = { ...home.body.sections[first as SectionId]!, hidden: true as const }
  const page = {
    ...home,
    body: { ...home.body, sections: { ...home.body.sections, [first!]: section } },
  }
  expect(outlineOf(ternFrame, page).filter(({ hidden }) => hidden)).toHaveLength(1)
})

test('closed, only sections are seen; opened, what stands in them', () => {
  const closed = seenRows(rows, new Set(), '')
  expect(closed.every(({ depth }) => depth === 0)).toBe(true)
  const opening = rows.find((row) => row.words === 'Opening')!
  const open = seenRows(rows, new Set([rowKey(opening)]), '')
  expect(open.length).toBeGreaterThan(closed.length)
  expect(open.every(({ depth }) => depth <= 1)).toBe(true)
})

test('a search shows what is found with what it stands in, whatever is closed', () => {
  const found = seenRows(rows, new Set(), 'coptic')
  expect(words(found).some((each) => /coptic/i.test(each))).toBe(true)
  expect(found[0]!.depth).toBe(0)
  expect(seenRows(rows, new Set(), 'no such words')).toEqual([])
})

test('a part is in it where the page places it, told as what it is, with all that stands in it', () => {
  const [first] = home.body.order
  const { [first!]: section, ...others } = home.body.sections
  const frame = {
    ...ternFrame,
    body: {
      order: [...ternFrame.body.order, first!],
      sections: { ...ternFrame.body.sections, [first!]: section! },
      elements: { ...ternFrame.body.elements, ...home.body.elements },
    },
  }
  const page = { ...home, body: { ...home.body, sections: others } }
  const all = outlineOf(frame, page)
  const part = all.findIndex(({ label }) => label === 'Part')
  expect(all[part]).toMatchObject({ doc: 'frame', section: first, words: section!.name })
  expect(all[part + 1]).toMatchObject({ doc: 'frame', section: first, depth: 1 })
  // The same lines as before, in the same order, but for whose they are.
  expect(words(all)).toEqual(words(rows))
  // Where it is gone, nothing stands.
  expect(outlineOf(ternFrame, page).some(({ section: each }) => each === first)).toBe(false)
})
