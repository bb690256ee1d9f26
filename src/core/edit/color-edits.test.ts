import { demoSites } from '@demo/sites'
import { siteDocs, type PageId, type SiteDocs } from '../site'
import { applyEdit, describeEdit } from './apply'
import { editSchema, type Edit } from './edits'

const { frame, pages } = demoSites[0]!
const docs: SiteDocs = siteDocs(frame, pages)
const home = docs.pages['home' as PageId]!
const button = Object.values(home.body.elements).find(({ kind }) => kind === 'mainButton')!
const plain = Object.values(home.body.elements).find(
  ({ kind, looks }) => kind === 'heading' && !looks,
)!

const run = (edit: unknown, on: SiteDocs = docs) => applyEdit(on, editSchema.parse(edit) as Edit)
const done = (on: SiteDocs, ...edits: unknown[]): SiteDocs =>
  edits.reduce<SiteDocs>((now, edit) => {
    const result = run(edit, now)
    if (!result.ok) throw new Error(result.problem)
    return result.docs
  }, on)
const colorsOf = (site: SiteDocs, id: string) =>
  site.pages['home' as PageId]!.body.elements[id as never]!['looks']
const on = (element: string, facet: string, paint: unknown, state = 'rest') => ({
  type: 'setElementColor',
  doc: 'home',
  element,
  facet,
  state,
  paint,
})
const gradient = {
  gradient: 'linear',
  angle: 90,
  stops: [
    { at: 0, color: { slot: 'ink' } },
    { at: 100, color: { slot: 'brand' } },
  ],
}

test('states are set beside each other', () => {
  const site = done(
    docs,
    on(plain.id, 'text', { slot: 'brand' }),
    on(plain.id, 'text', { slot: 'ink' }, 'hover'),
  )
  expect(colorsOf(site, plain.id)).toEqual({
    text: { rest: { slot: 'brand' }, hover: { slot: 'ink' } },
  })
})

test('taking a setting away leaves no trace of it', () => {
  const site = done(docs, on(plain.id, 'text', { slot: 'brand' }), on(plain.id, 'text', null))
  expect(site.pages['home' as PageId]!.body.elements[plain.id]).toEqual(plain)
  const both = done(
    docs,
    on(plain.id, 'text', { slot: 'brand' }),
    on(plain.id, 'text', { slot: 'ink' }, 'hover'),
  )
  expect(colorsOf(done(both, on(plain.id, 'text', null, 'hover')), plain.id)).toEqual({
    text: { rest: { slot: 'brand' } },
  })
})

test('a fill takes a gradient; words and lines take plain colours only', () => {
  expect(colorsOf(done(docs, on(button.id, 'fill', gradient)), button.id)).toMatchObject({
    fill: { rest: gradient },
  })
  expect(run(on(button.id, 'label', gradient))).toEqual({ ok: false, problem: 'facet-unknown' })
})

test.each([
  ['a page', { ...on(button.id, 'fill', null), doc: 'gone' }, 'page-gone'],
  ['an element', on('gone', 'fill', null), 'element-gone'],
  ['a colour of this kind of element', on(button.id, 'stripe', null), 'facet-unknown'],
  ['a slot', on(button.id, 'fill', { slot: 'gone' }), 'slot-gone'],
  [
    'a section',
    {
      type: 'setSectionColor',
      doc: 'home',
      section: 'gone',
      facet: 'fill',
      state: 'rest',
      paint: null,
    },
    'section-gone',
  ],
  [
    'an element style',
    { type: 'setStyleColor', style: 'gone', facet: 'fill', state: 'rest', paint: null },
    'style-gone',
  ],
])('%s that is not there refuses the edit', (_what, edit, problem) => {
  expect(run(edit)).toEqual({ ok: false, problem })
})

test('a style keeps its colours as a record, even when none is left', () => {
  const style = (paint: unknown) => ({
    type: 'setStyleColor',
    style: 'booking',
    facet: 'fill',
    state: 'rest',
    paint,
  })
  expect(frame.styles['booking' as never]).toMatchObject({ looks: {} })
  const set = done(docs, style({ slot: 'ink' }))
  expect(set.frame.styles['booking' as never]).toMatchObject({
    looks: { fill: { rest: { slot: 'ink' } } },
  })
  expect(done(set, style(null)).frame.styles['booking' as never]).toEqual(
    frame.styles['booking' as never],
  )
})

test.each([
  [on(button.id, 'fill', { slot: 'ink' }), 'Main button, fill: Ink'],
  [on(button.id, 'fill', { value: 'teal' }, 'hover'), 'Main button, fill, pointer over: teal'],
  [on(button.id, 'fill', null), 'Main button, fill back to the theme'],
  [on(button.id, 'fill', gradient), 'Main button, fill: gradient'],
  [
    {
      type: 'setStyleColor',
      style: 'booking',
      facet: 'fill',
      state: 'rest',
      paint: { slot: 'ink' },
    },
    'Booking button, fill: Ink',
  ],
  [
    {
      type: 'setSectionColor',
      doc: 'home',
      section: 'opening',
      facet: 'fill',
      state: 'rest',
      paint: { slot: 'mist' },
    },
    'Opening, fill: Mist',
  ],
])('%# is told in words', (edit, told) => {
  expect(describeEdit(editSchema.parse(edit) as Edit, docs)).toBe(told)
})
