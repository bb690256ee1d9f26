import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { renderSiteCss, shadesOnPages, type Whereabouts } from '../render'
import {
  canonicalJson,
  isWholeRecord,
  recordsOf,
  siteDocs,
  type PageId,
  type RecordChange,
  type SiteDocs,
} from '../site'
import {
  aFont as font,
  anyEditOf,
  anyNastyEditOf,
  editTable,
  type EditTypeName,
} from './any-edit.fixture'
import { applyEdit, changedDocs, describeEdit, inverseOf } from './apply'
import { checkEdit, editKinds, editSchema, type Edit } from './edits'

const [tern] = demoSites
const study = { id: 'plum', name: 'Plum', colors: [{ value: '#5b2a86' }] }
const partless = siteDocs({ ...tern!.frame, studies: [study] }, tern!.pages, tern!.pictures, [font])
const section = partless.pages['home' as PageId]!.body.order.at(-1)
const ids = Object.fromEntries(
  Object.keys(partless.pages['home' as PageId]!.body.elements).map((id, i) => [id, `kept-${i}`]),
)
const kept = applyEdit(
  partless,
  editSchema.parse({ type: 'keepPart', doc: 'home', section, part: 'call', ids }),
)
if (!kept.ok) throw new Error(kept.problem)
const docs: SiteDocs = kept.docs

const nowhere: Whereabouts = {
  pictures: {},
  assetUrl: String,
  fontUrl: String,
  link: String,
}

const kindsOfEdit = Object.keys(editTable) as EditTypeName[]
const anyEdit = fc.oneof(...kindsOfEdit.map((type) => anyEditOf(type, docs)))

const isWhole = (site: SiteDocs) =>
  recordsOf(site).every(({ kind, record }) => isWholeRecord(kind, record))
const stored = (changes: readonly RecordChange[]) =>
  JSON.parse(JSON.stringify(changes)) as RecordChange[]
const back = (from: SiteDocs, changes: readonly RecordChange[]) =>
  changedDocs(from, inverseOf(stored(changes)))

test.each(kindsOfEdit)(
  '%s: some are carried out, none leaves documents that are not whole',
  (type) => {
    let done = 0
    fc.assert(
      fc.property(anyEditOf(type, docs), (edit) => {
        const result = applyEdit(docs, edit)
        expect(describeEdit(edit, docs).length).toBeGreaterThan(0)
        if (!result.ok) return
        done += 1
        if (result.docs !== docs) expect(isWhole(result.docs)).toBe(true)
        expect(canonicalJson(back(result.docs, result.changes))).toBe(canonicalJson(docs))
      }),
      { numRuns: 40 },
    )
    // Some kinds fit few elements, so forty may all have missed.
    const more = () => fc.sample(anyEditOf(type, docs), 2000)
    expect(done > 0 || more().some((edit) => applyEdit(docs, edit).ok)).toBe(true)
  },
)

test.each(kindsOfEdit)(
  '%s: names that every object answers to are never taken for something',
  (type) => {
    const text = canonicalJson(docs)
    fc.assert(
      fc.property(anyNastyEditOf(type, docs), (edit) => {
        const parsed = editTable[type].schema.safeParse(edit)
        if (!parsed.success) return
        const result = applyEdit(docs, parsed.data as Edit)
        describeEdit(parsed.data as Edit, docs)
        expect(canonicalJson(docs)).toBe(text)
        if (!result.ok || result.docs === docs) return
        expect(isWhole(result.docs)).toBe(true)
        renderSiteCss(result.docs.frame, shadesOnPages(Object.values(result.docs.pages)), nowhere)
        expect(canonicalJson(back(result.docs, result.changes))).toBe(text)
      }),
      { numRuns: 60 },
    )
  },
)

test('apply, then inverse, gives the same bytes, for any run of edits', () => {
  fc.assert(
    fc.property(fc.array(anyEdit, { maxLength: 12 }), (edits) => {
      let current = docs
      const states = [canonicalJson(current)]
      const made: RecordChange[][] = []
      for (const edit of edits) {
        const result = applyEdit(current, edit)
        if (!result.ok) continue
        current = result.docs
        made.push(stored(result.changes))
        states.push(canonicalJson(current))
      }
      const replayed = made.reduce((now, changes) => changedDocs(now, changes)!, docs)
      expect(canonicalJson(replayed)).toBe(states.at(-1))
      let now = current
      made.reverse().forEach((changes, i) => {
        now = changedDocs(now, inverseOf(changes))!
        expect(canonicalJson(now)).toBe(states[states.length - 2 - i])
      })
    }),
    { numRuns: 60 },
  )
})

test('what a person can send is what the schema takes', () => {
  const own = (Object.keys(editKinds) as EditTypeName[]).map((type) => anyEditOf(type, docs))
  fc.assert(
    fc.property(fc.oneof(...own), (edit) => {
      const sent: unknown = JSON.parse(JSON.stringify(edit))
      expect(editSchema.safeParse(sent).success).toBe(true)
      expect(checkEdit(sent)).toEqual({ ok: true })
    }),
  )
})

test('what a person cannot send is told by its place', () => {
  const rename = (name: unknown) => checkEdit({ type: 'renameSlot', slot: 'brand', name })
  expect(rename('a'.repeat(61))).toMatchObject({ ok: false, where: 'name' })
  expect(rename('\u200b\u2060')).toMatchObject({
    ok: false,
    where: 'name',
    what: expect.stringMatching(/seen/),
  })
  expect(rename('\u3164')).toMatchObject({ ok: false })
  expect(rename('Brand\u202egnp')).toMatchObject({ ok: false, what: expect.stringMatching(/turn/) })
  expect(rename('half \ud800')).toMatchObject({ ok: false, what: expect.stringMatching(/kept/) })
  expect(rename('זהב')).toEqual({ ok: true })
  expect(checkEdit({ type: 'setCustomCss', css: 'a{}/*\u202e*/' })).toMatchObject({ where: 'css' })
  expect(checkEdit({ type: 'removeSlot', slot: 'brand', changes: [] })).toMatchObject({ ok: false })
  expect(checkEdit({ type: 'addSlot', slot: 'constructor', name: 'x', value: null })).toMatchObject(
    { where: 'slot' },
  )
})

const look = (on: unknown, key: string, value: unknown) => ({
  type: 'setLooks',
  settings: [{ on, key, state: 'rest', value }],
})

const refusals: ReadonlyArray<readonly [string, Edit | Record<string, unknown>]> = [
  ['slot-gone', { type: 'setSlot', slot: 'nowhere', value: '#fff' }],
  ['slot-taken', { type: 'addSlot', slot: 'brand', name: 'Brand', value: null }],
  ['theme-gone', { type: 'setRole', themes: ['on-moss'], role: 'text', decision: { slot: 'ink' } }],
  ['slot-gone', { type: 'setRole', themes: ['on-ink'], role: 'text', decision: { slot: 'moss' } }],
  [
    'page-gone',
    { type: 'setSectionTheme', sections: [{ doc: 'cellar', section: 'x' }], theme: 'on-ink' },
  ],
  [
    'section-gone',
    { type: 'setSectionTheme', sections: [{ doc: 'home', section: 'x' }], theme: 'on-ink' },
  ],
  ['element-gone', look({ doc: 'home', element: 'home-999' }, 'text', null)],
  ['property-unknown', look({ doc: 'home', element: 'home-2' }, 'sparkle', null)],
  [
    'slot-gone',
    look(
      {
        doc: 'home',
        section: Object.keys(docs.pages[Object.keys(docs.pages)[0] as PageId]!.body.sections)[0],
      },
      'fill',
      {
        gradient: 'linear',
        angle: 90,
        stops: [
          { at: 0, color: { slot: 'nowhere' } },
          { at: 100, color: { value: '#fff' } },
        ],
      },
    ),
  ],
  ['css-reaches-out', { type: 'setCustomCss', css: 'a{background:url(//evil.test)}' }],
  ['css-too-deep', { type: 'setCustomCss', css: '@media x{'.repeat(1000) }],
  ['style-gone', look({ style: 'nothing' }, 'fill', null)],
  ['add-on-there', { type: 'addAddOn', id: 'second', kind: 'chat' }],
  ['add-on-gone', { type: 'setAddOn', id: 'nothing', name: 'X' }],
  ['add-on-gone', { type: 'removeAddOn', id: 'nothing' }],
  ...(
    [
      ['setting-unknown', { sparkle: 'x' }],
      ['setting-unknown', { corner: 'middle' }],
      ['setting-unknown', { 'launcher.label': 'white' }],
      ['slot-gone', { 'launcher.label': { slot: 'nowhere' } }],
    ] as const
  ).map(
    ([problem, settings]) => [problem, { type: 'setAddOn', id: 'help-desk', settings }] as const,
  ),
]

test.each(refusals)('%s is told and nothing is changed', (problem, edit) => {
  const before = canonicalJson(docs)
  expect(applyEdit(docs, edit as Edit)).toEqual({ ok: false, problem })
  expect(canonicalJson(docs)).toBe(before)
})

test('a palette takes 64 slots and no more', () => {
  let current = docs
  for (let i = current.frame.palette.order.length; i < 64; i += 1) {
    const result = applyEdit(current, {
      type: 'addSlot',
      slot: `s-${i}`,
      name: `S ${i}`,
      value: '#123',
    } as Edit)
    if (!result.ok) throw new Error(result.problem)
    current = result.docs
  }
  const over = { type: 'addSlot', slot: 'one-more', name: 'One more', value: '#123' } as Edit
  expect(applyEdit(current, over)).toEqual({ ok: false, problem: 'slots-full' })
})

test('an edit that changes nothing returns the same documents', () => {
  const same = { type: 'setSlot', slot: 'brand', value: '#1D5955' } as Edit
  const result = applyEdit(docs, same)
  expect(result.ok && result.docs === docs && result.changes.length === 0).toBe(true)
})

test.each([
  ['#12345', false],
  ['#GGG', false],
  ['rgb(300)', false],
  ['', false],
  ['#1d59555', false],
  ['oklch(60% 0.1 30)', true],
])('a slot set to “%s” is checked before it gets anywhere', (value, passes) => {
  expect(editSchema.safeParse({ type: 'setSlot', slot: 'brand', value }).success).toBe(passes)
})

test('a name of 10,000 characters is refused; one with markup is only a name', () => {
  const rename = (name: string) => editSchema.safeParse({ type: 'renameSlot', slot: 'brand', name })
  expect(rename('a'.repeat(10_000)).success).toBe(false)
  expect(rename('   ').success).toBe(false)
  expect(rename('half \ud800').success).toBe(false)
  expect(rename('<script>alert(1)</script>').success).toBe(true)
})
