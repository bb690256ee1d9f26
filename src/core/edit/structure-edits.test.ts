import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { mostWords, type Runs } from '../elements'
import {
  canonicalJson,
  mostChildren,
  mostSections,
  siteDocs,
  type Page,
  type PageId,
  type SiteDocs,
} from '../site'
import { anyEditOf, editTable, type EditTypeName } from './any-edit.fixture'
import { applyEdit, changedDocs, describeEdit, inverseOf } from './apply'
import { editSchema, type Edit } from './edits'

const [tern] = demoSites
const docs: SiteDocs = siteDocs(tern!.frame, tern!.pages, tern!.pictures)
const home = 'home' as PageId
const elements = Object.values(docs.pages[home]!.body.elements)
const heading = elements.find(({ kind }) => kind === 'heading')!
const paragraph = elements.find(({ kind }) => kind === 'paragraph')!
const card = elements.find(({ kind, children }) => kind === 'card' && children)!
const runsOf = (site: SiteDocs, id: string) =>
  (pageOf(site).body.elements[id as never] as unknown as { content: { runs: Runs } }).content.runs
const pageOf = (site: SiteDocs): Page => site.pages[home]!
const run = (edit: object, on: SiteDocs = docs) => applyEdit(on, editSchema.parse(edit) as Edit)
const done = (edit: object, on: SiteDocs = docs): SiteDocs => {
  const result = run(edit, on)
  if (!result.ok) throw new Error(result.problem)
  return result.docs
}
const reword = (to: unknown, more: object = {}) => ({
  type: 'setContent',
  doc: home,
  element: heading.id,
  at: ['runs'],
  was: runsOf(docs, heading.id),
  to,
  ...more,
})
const words = (id: string, text = 'New') => ({
  id,
  kind: 'paragraph',
  content: { runs: [{ text }] },
})
const to = { section: 'opening' }
const add = (more: object) => ({ type: 'addElements', doc: home, to, ...more })
const band = (id: string, more: object = {}) => ({
  type: 'addSection',
  doc: home,
  section: { id, name: 'New', kind: 'band', theme: 'on-paper', layout: 'stack', children: [] },
  elements: [],
  ...more,
})

describe('words', () => {
  test('are written anew, and told by what they were', () => {
    const edit = reword([{ text: 'Other' }, { text: ' words', strong: true, words: 'markerA' }])
    expect(runsOf(done(edit), heading.id)).toEqual(edit.to)
    expect(describeEdit(editSchema.parse(edit), docs)).toMatch(/^Heading “.+” reworded$/)
  })

  test('that somebody else wrote meanwhile are not lost to them', () => {
    const theirs = done(reword([{ text: 'Theirs' }]))
    expect(run(reword([{ text: 'Ours' }]), theirs)).toEqual({ ok: false, problem: 'text-changed' })
  })

  test('take their colours with them when they go', () => {
    const marked = done(reword([{ text: 'x', words: 'tintA' }]))
    const color = {
      type: 'setLooks',
      settings: [
        {
          on: { doc: home, element: heading.id },
          key: 'tintA',
          state: 'rest',
          value: { slot: 'spark' },
        },
      ],
    }
    const colored = done(color, marked)
    expect(pageOf(colored).body.elements[heading.id]!.looks).toBeDefined()
    const plain = done(reword([{ text: 'x' }], { was: runsOf(marked, heading.id) }), colored)
    expect(pageOf(plain).body.elements[heading.id]!.looks).toBeUndefined()
  })

  test.each([
    ['100,000 characters', [{ text: 'x'.repeat(mostWords) }, { text: 'x'.repeat(80_000) }]],
    ['something else than words', 'plain'],
    ['a member that is none', [{ text: 'x', onclick: 'alert(1)' }]],
    ['a colour that is none', [{ text: 'x', words: 'tintZ' }]],
  ])('%s are refused', (_, to) => {
    expect(run(reword(to))).toEqual({ ok: false, problem: 'content-unfit' })
  })

  test('go on in an element of their own, in one step', () => {
    const site = done({
      ...reword([{ text: 'Here' }]),
      type: 'continueWords',
      after: [words('new-1', 'after'), words('new-2', 'and after')],
    })
    const list = Object.values(pageOf(site).body.elements).flatMap(({ children = [] }) => children)
    const all = [...list, ...Object.values(pageOf(site).body.sections).flatMap((s) => s.children)]
    const at = all.indexOf(heading.id)
    expect(all.slice(at, at + 3)).toEqual([heading.id, 'new-1', 'new-2'])
  })
})

describe('elements', () => {
  test('come with what stands in them, before another one', () => {
    const holder = { id: 'new-card', kind: 'card', content: {}, children: ['new-1'] }
    const first = pageOf(docs).body.sections['opening' as never]!['children'][0]
    const site = done(
      add({ to: { ...to, before: first }, top: ['new-card'], elements: [holder, words('new-1')] }),
    )
    expect(pageOf(site).body.sections['opening' as never]!['children'][0]).toBe('new-card')
  })

  test.each([
    [
      'one that is there already',
      add({ top: [heading.id], elements: [words(heading.id)] }),
      'element-taken',
    ],
    [
      'one that hangs on nothing',
      add({ top: ['a'], elements: [words('a'), words('b')] }),
      'malformed',
    ],
    [
      'two that stand in each other',
      add({
        top: ['c'],
        elements: [
          words('c'),
          { id: 'a', kind: 'card', content: {}, children: ['b'] },
          { id: 'b', kind: 'card', content: {}, children: ['a'] },
        ],
      }),
      'malformed',
    ],
    [
      'one in what holds nothing',
      add({ to: { ...to, into: paragraph.id }, top: ['a'], elements: [words('a')] }),
      'holds-nothing',
    ],
    [
      'one in a section that is gone',
      add({ to: { section: 'gone' }, top: ['a'], elements: [words('a')] }),
      'section-gone',
    ],
    [
      'one in a style that is gone',
      add({ top: ['a'], elements: [{ ...words('a'), style: 'gone' }] }),
      'style-gone',
    ],
    [
      'more than fit',
      add({
        top: Array.from({ length: mostChildren }, (_, i) => `a-${i}`),
        elements: Array.from({ length: mostChildren }, (_, i) => words(`a-${i}`)),
      }),
      'elements-full',
    ],
    [
      'one into itself',
      { type: 'moveElement', doc: home, element: card.id, to: { ...to, into: card.id } },
      'into-itself',
    ],
    [
      'one into what stands in it',
      {
        type: 'wrapElement',
        doc: home,
        element: card.id,
        holder: { id: 'new', kind: 'group', content: { arrange: 'row' }, children: [card.id] },
      },
      'malformed',
    ],
    ['one that is gone', { type: 'removeElement', doc: home, element: 'gone' }, 'element-gone'],
  ])('%s is refused', (_, edit, problem) => {
    expect(run(edit)).toEqual({ ok: false, problem })
  })

  test('go with all that stands in them', () => {
    const site = done({ type: 'removeElement', doc: home, element: card.id })
    for (const id of [card.id, ...card.children!]) {
      expect(pageOf(site).body.elements[id]).toBeUndefined()
    }
  })

  test('are joined by their words: what stood behind goes', () => {
    const both = done(add({ top: ['a', 'b'], elements: [words('a', 'One'), words('b', ' two')] }))
    const join = (more: object) => ({
      type: 'joinWords',
      doc: home,
      element: 'a',
      at: ['runs'],
      was: [{ text: 'One' }],
      to: [{ text: 'One two' }],
      behind: 'b',
      behindWas: words('b', ' two').content,
      ...more,
    })
    const joined = done(join({}), both)
    expect(runsOf(joined, 'a')).toEqual([{ text: 'One two' }])
    expect(pageOf(joined).body.elements['b' as never]).toBeUndefined()
    // Not over words that somebody else has written meanwhile, nor over what came between.
    const refused = (more: object, problem: string) =>
      expect(run(join(more), both)).toEqual({ ok: false, problem })
    refused({ was: [{ text: 'Other' }] }, 'text-changed')
    refused({ behindWas: { runs: [] } }, 'text-changed')
    refused({ element: 'b', behind: 'a' }, 'text-changed')
    refused({ behind: 'gone' }, 'element-gone')
  })

  test('take the place of what is put into them', () => {
    const holder = { id: 'new', kind: 'card', content: {} }
    const site = done({ type: 'wrapElement', doc: home, element: heading.id, holder })
    expect(pageOf(site).body.elements['new' as never]!['children']).toEqual([heading.id])
  })
})

describe('sections', () => {
  test('come before another one, move, are hidden, and go', () => {
    const [first, second] = pageOf(docs).body.order
    const added = done(band('new', { before: second }))
    expect(pageOf(added).body.order.slice(0, 3)).toEqual([first, 'new', second])
    const moved = done({ type: 'moveSection', doc: home, section: 'new', before: first }, added)
    expect(pageOf(moved).body.order[0]).toBe('new')
    const hidden = done({ type: 'setSection', doc: home, section: 'new', hidden: true }, moved)
    expect(pageOf(hidden).body.sections['new' as never]).toMatchObject({ hidden: true })
    const shown = done({ type: 'setSection', doc: home, section: 'new', hidden: false }, hidden)
    expect(canonicalJson(shown)).toBe(canonicalJson(moved))
    const gone = done({ type: 'removeSection', doc: home, section: 'new' }, moved)
    expect(canonicalJson(gone)).toBe(canonicalJson(docs))
  })

  test('200 of them are refused, those that fit stay', () => {
    let site = docs
    const problems = new Set<string>()
    for (let i = 0; i < 200; i += 1) {
      const result = run(band(`new-${i}`), site)
      if (result.ok) site = result.docs
      else problems.add(result.problem)
    }
    expect(pageOf(site).body.order).toHaveLength(mostSections)
    expect([...problems]).toEqual(['sections-full'])
  })

  test('header and footer are of all pages: they are neither added nor taken away with one', () => {
    expect(editSchema.safeParse(band('new', { doc: 'frame' })).success).toBe(false)
    const remove = { type: 'removeSection', doc: 'frame', section: 'header' }
    expect(editSchema.safeParse(remove).success).toBe(false)
  })
})

test('a walk of 200 edits of content and colour, undone, gives the first bytes', () => {
  const kinds: EditTypeName[] = [
    'setContent',
    'continueWords',
    'joinWords',
    'addElements',
    'moveElement',
    'removeElement',
    'wrapElement',
    'addSection',
    'moveSection',
    'removeSection',
    'setSection',
    'keepPart',
    'placePart',
    'loosenPart',
    'removePart',
    'setLooks',
    'setSettings',
    'addStyle',
    'giveStyle',
    'setSectionTheme',
    'setSlot',
    'setRole',
  ]
  expect(kinds.every((kind) => kind in editTable)).toBe(true)
  const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)
  console.warn(`walk of 200 edits: EASEL_SEED=${seed}`)
  let now = docs
  const made = []
  let tries = 0
  while (made.length < 200 && tries < 4000) {
    const kind = kinds[(seed + tries) % kinds.length]!
    const [edit] = fc.sample(anyEditOf(kind, now), { numRuns: 1, seed: seed + tries })
    tries += 1
    const result = applyEdit(now, edit!)
    if (!result.ok || result.changes.length === 0) continue
    now = result.docs
    made.push(result.changes)
  }
  expect(made).toHaveLength(200)
  for (const changes of made.reverse()) now = changedDocs(now, inverseOf(changes))!
  expect(canonicalJson(now)).toBe(canonicalJson(docs))
})
