import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { kindOf } from '../elements'
import { canonicalJson, themesInOrder, type SiteDocs } from '../site'
import { roleIds } from '../theme'
import { applyEdit, describeEdit, patchDocs, type DocPatch } from './apply'
import { editSchema, type AnyEdit, type Edit } from './edits'

const [tern] = demoSites
const docs: SiteDocs = {
  frame: tern!.frame,
  pages: Object.fromEntries(tern!.pages.map((page) => [page.id, page])),
}

const slots = docs.frame.palette.order
const themes = themesInOrder(docs.frame.themes).map(({ id }) => id)
const pages = Object.values(docs.pages)

const anyColorText = fc.constantFrom(
  '#1c5a54',
  'teal',
  'rgb(1 2 3 / 40%)',
  'hsl(20 50% 50%)',
  '#FFF',
)
const anyShade = fc.record({ lightness: fc.integer({ min: -100, max: 100 }) })
const anyDecision = fc.oneof(
  fc.record({ slot: fc.constantFrom(...slots) }),
  fc.record({ slot: fc.constantFrom(...slots), shade: anyShade }),
  fc.record({ value: anyColorText }),
)
const anyElement = fc.constantFrom(
  ...pages.flatMap((page) =>
    Object.values(page.body.elements)
      .filter((element) => kindOf(element.kind).facets.length > 0)
      .map((element) => ({ doc: page.id, element })),
  ),
)
const anySection = fc.constantFrom(
  ...pages.flatMap((page) => page.body.order.map((section) => ({ doc: page.id, section }))),
)

/** Any edit that a person could make on the demo site. */
const anyEdit = fc.oneof(
  fc.record({ type: fc.constant('setSlot'), slot: fc.constantFrom(...slots), value: anyColorText }),
  fc.record({
    type: fc.constant('renameSlot'),
    slot: fc.constantFrom(...slots),
    name: fc.string({ minLength: 1, maxLength: 60 }).filter((s) => s.trim() !== ''),
  }),
  fc.record({
    type: fc.constant('addSlot'),
    slot: fc.constantFrom('moss', 'sand', 'brand'),
    name: fc.constant('New'),
    value: fc.option(anyColorText),
  }),
  fc.record({
    type: fc.constant('setRole'),
    themes: fc.subarray(themes, { minLength: 1 }),
    role: fc.constantFrom(...roleIds),
    decision: anyDecision,
  }),
  fc.record({
    type: fc.constant('setSectionTheme'),
    sections: fc.array(anySection, { minLength: 1, maxLength: 4 }),
    theme: fc.constantFrom(...themes),
  }),
  fc.record({ type: fc.constant('setBlend'), section: fc.constant('header'), blend: fc.boolean() }),
  fc.record({ type: fc.constant('setCustomCss'), css: fc.string() }),
  fc
    .tuple(anyElement, fc.nat(), fc.constantFrom('rest', 'hover'), fc.option(anyDecision))
    .map(([{ doc, element }, n, state, paint]) => {
      const { facets } = kindOf(element.kind)
      return {
        type: 'setElementColor',
        doc,
        element: element.id,
        facet: facets[n % facets.length]!.key,
        state,
        paint,
      }
    }),
) as unknown as fc.Arbitrary<Edit>

test('apply, then inverse, gives the same bytes, for any run of edits', () => {
  fc.assert(
    fc.property(fc.array(anyEdit, { maxLength: 12 }), (edits) => {
      let current = docs
      const states = [canonicalJson(current)]
      const inverses: DocPatch[][] = []
      const forwards: DocPatch[][] = []
      for (const edit of edits) {
        const result = applyEdit(current, edit)
        if (!result.ok) continue
        current = result.docs
        forwards.push(result.patches)
        inverses.push(result.inverse)
        states.push(canonicalJson(current))
      }
      const replayed = forwards.reduce(patchDocs, docs)
      expect(canonicalJson(replayed)).toBe(states.at(-1))
      let back = current
      inverses.reverse().forEach((inverse, i) => {
        back = patchDocs(back, JSON.parse(JSON.stringify(inverse)) as DocPatch[])
        expect(canonicalJson(back)).toBe(states[states.length - 2 - i])
      })
    }),
    { numRuns: 60 },
  )
})

test('what a person can send is what the schema takes', () => {
  fc.assert(
    fc.property(anyEdit, (edit) => {
      const text = JSON.stringify(edit)
      if (edit.type === 'setCustomCss' && text.includes('\\u0000')) return
      if (edit.type === 'renameSlot' && text.includes('\\u0000')) return
      expect(editSchema.safeParse(JSON.parse(text)).success).toBe(true)
    }),
  )
})

test('an edit that is told has a line of words', () => {
  fc.assert(
    fc.property(anyEdit, (edit) => expect(describeEdit(edit, docs).length).toBeGreaterThan(3)),
  )
})

const refusals: ReadonlyArray<readonly [string, AnyEdit | Record<string, unknown>]> = [
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
  [
    'element-gone',
    {
      type: 'setElementColor',
      doc: 'home',
      element: 'home-999',
      facet: 'text',
      state: 'rest',
      paint: null,
    },
  ],
  [
    'facet-unknown',
    {
      type: 'setElementColor',
      doc: 'home',
      element: 'home-2',
      facet: 'sparkle',
      state: 'rest',
      paint: null,
    },
  ],
  [
    'style-gone',
    { type: 'setStyleColor', style: 'nothing', facet: 'fill', state: 'rest', paint: null },
  ],
]

test.each(refusals)('%s is told and nothing is changed', (problem, edit) => {
  const before = canonicalJson(docs)
  expect(applyEdit(docs, edit as AnyEdit)).toEqual({ ok: false, problem })
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
    } as AnyEdit)
    if (!result.ok) throw new Error(result.problem)
    current = result.docs
  }
  const over = { type: 'addSlot', slot: 'one-more', name: 'One more', value: '#123' } as AnyEdit
  expect(applyEdit(current, over)).toEqual({ ok: false, problem: 'slots-full' })
})

test('an edit that changes nothing returns the same documents', () => {
  const same = { type: 'setSlot', slot: 'brand', value: '#1D5955' } as AnyEdit
  const result = applyEdit(docs, same)
  expect(result.ok && result.docs === docs && result.patches.length === 0).toBe(true)
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
