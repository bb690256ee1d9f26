import { demoSites } from '@demo/sites'
import { siteDocs, type PageId, type SiteDocs } from '../site'
import { applyEdit, describeEdit } from './apply'
import { editSchema, type Edit } from './edits'
import { ramp } from '../site/ramp.fixture'

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
const look = (who: unknown, key: string, value: unknown, state = 'rest') => ({
  type: 'setLooks',
  settings: [{ on: who, key, state, value }],
})
const on = (element: string, key: string, value: unknown, state = 'rest') =>
  look({ doc: 'home', element }, key, value, state)
const gradient = ramp('ink', 'brand')

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

test('a fill takes a gradient, and so do words that stand on no ground of their own; lines take plain colours only', () => {
  expect(colorsOf(done(docs, on(button.id, 'fill', gradient)), button.id)).toMatchObject({
    fill: { rest: gradient },
  })
  expect(run(on(button.id, 'label', gradient))).toEqual({ ok: false, problem: 'value-unfit' })
  expect(run(on(button.id, 'line', gradient))).toEqual({ ok: false, problem: 'value-unfit' })
  expect(colorsOf(done(docs, on(plain.id, 'text', gradient)), plain.id)).toMatchObject({
    text: { rest: gradient },
  })
  const picture = { picture: 'logo', under: { slot: 'ink' } }
  expect(run(on(plain.id, 'text', picture))).toEqual({ ok: false, problem: 'value-unfit' })
})

test.each([
  ['a page', look({ doc: 'gone', element: button.id }, 'fill', null), 'page-gone'],
  ['an element', on('gone', 'fill', null), 'element-gone'],
  ['a property of this kind of element', on(button.id, 'stripe', null), 'property-unknown'],
  ['a slot', on(button.id, 'fill', { slot: 'gone' }), 'slot-gone'],
  ['a section', look({ doc: 'home', section: 'gone' }, 'fill', null), 'section-gone'],
  ['an element style', look({ style: 'gone' }, 'fill', null), 'style-gone'],
])('%s that is not there refuses the edit', (_what, edit, problem) => {
  expect(run(edit)).toEqual({ ok: false, problem })
})

test('a style keeps its colours as a record, even when none is left', () => {
  const style = (paint: unknown) => look({ style: 'booking' }, 'fill', paint)
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
  [on(button.id, 'fill', null), 'Main button, fill as inherited'],
  [on(button.id, 'fill', gradient), 'Main button, fill: Ink → Brand'],
  [look({ style: 'booking' }, 'fill', { slot: 'ink' }), 'Booking button, fill: Ink'],
  [look({ doc: 'home', section: 'opening' }, 'fill', { slot: 'mist' }), 'Opening, ground: Mist'],
  [on(button.id, 'corner', 999), 'Main button, corner: pill'],
  [on(button.id, 'padding', { block: 8, inline: 20.5 }), 'Main button, padding: 8 · 20.5 px'],
  [on(plain.id, 'size', { step: -1 }), 'Heading, size: step −1'],
  [
    look({ style: 'heading-2' }, 'case', 'uppercase', 'hover'),
    'Heading, case, pointer over: uppercase',
  ],
  [
    look({ style: 'link' }, 'linkUnderline', { line: 'none' }),
    'Link in text, links, underline: none',
  ],
])('%# is told in words', (edit, told) => {
  expect(describeEdit(editSchema.parse(edit) as Edit, docs)).toBe(told)
})

const shadow = { x: 0, y: 4, blur: 12, spread: 0, color: { slot: 'ink', shade: { alpha: -80 } } }

describe('what is decided for shapes and type', () => {
  test('stands beside the colours, in any state', () => {
    const site = done(
      docs,
      on(button.id, 'corner', 12),
      on(button.id, 'shadow', { shadows: [shadow, { ...shadow, inner: true }] }, 'hover'),
      on(button.id, 'face', 'heading'),
    )
    expect(colorsOf(site, button.id)).toMatchObject({
      corner: { rest: 12 },
      shadow: { hover: { shadows: [shadow, { inner: true }] } },
      face: { rest: 'heading' },
    })
  })

  test.each([
    ['a colour as a corner', 'corner', { slot: 'ink' }, 'value-unfit'],
    ['a number as a fill', 'fill', 12, 'value-unfit'],
    ['a corner below nothing', 'corner', -1, 'value-unfit'],
    ['text that is no case', 'case', 'UPPER; } * {', 'value-unfit'],
    ['an opacity in per cent', 'opacity', 50, 'value-unfit'],
    ['a size that is none', 'size', { px: 'large' }, 'value-unfit'],
    ['no number at all', 'weight', Number.NaN, 'value-unfit'],
    ['forty shadows', 'shadow', { shadows: Array(40).fill(shadow) }, 'shadows-full'],
    [
      'a shadow of a slot that is gone',
      'shadow',
      { shadows: [{ ...shadow, color: { slot: 'gone' } }] },
      'slot-gone',
    ],
    ['a typeface that is none of the site’s faces', 'face', 'Karla', 'value-unfit'],
  ])('%s is refused, and nothing is changed', (_what, key, value, problem) => {
    expect(run(on(button.id, key, value))).toEqual({ ok: false, problem })
  })

  test('a base style is there once something is decided for it, and gone when nothing is', () => {
    const set = done(docs, look({ style: 'card' }, 'corner', 20))
    expect(set.frame.styles['card' as never]).toEqual({
      id: 'card',
      name: 'Card',
      kind: 'card',
      looks: { corner: { rest: 20 } },
    })
    const back = done(set, look({ style: 'card' }, 'corner', null))
    expect(back.frame).toEqual(frame)
    expect(run(look({ style: 'card' }, 'sparkle', 2))).toMatchObject({
      problem: 'property-unknown',
    })
  })

  test('the ground of all sections is decided by themes alone', () => {
    expect(run(look({ style: 'section' }, 'fill', { slot: 'ink' }))).toMatchObject({
      problem: 'property-unknown',
    })
    expect(done(docs, look({ style: 'section' }, 'space', 40)).frame.styles).toHaveProperty(
      'section',
    )
  })
})

describe('element styles', () => {
  const style = (id: string, name: string, more: object = {}) => ({
    id,
    name,
    kind: 'mainButton',
    looks: {},
    ...more,
  })
  const add = (each: object, wear?: object[]) => ({
    type: 'addStyle',
    style: each,
    ...(wear ? { wear } : {}),
  })
  const here = { doc: 'home', element: button.id }
  const elementIn = (site: SiteDocs) => site.pages['home' as PageId]!.body.elements[button.id]!

  test('one is made from an element in one step: it is worn, and what it decides goes from the element', () => {
    const own = done(docs, on(button.id, 'corner', 12), on(button.id, 'corner', 20, 'hover'))
    const looks = { corner: { rest: 12 } }
    const site = done(own, add(style('round', 'Round', { looks }), [here]))
    expect(site.frame.styles['round' as never]).toMatchObject({ name: 'Round', looks })
    expect(elementIn(site)).toMatchObject({ style: 'round', looks: { corner: { hover: 20 } } })
  })

  test('of another kind, it is given to nobody', () => {
    const site = done(docs, add(style('round', 'Round')))
    const give = (element: string, id: string | null = 'round') => ({
      type: 'giveStyle',
      style: id,
      to: [{ doc: 'home', element }],
    })
    expect(run(give(plain.id), site)).toMatchObject({ problem: 'style-other-kind' })
    const given = done(site, give(button.id))
    expect(elementIn(given)).toMatchObject({ style: 'round' })
    expect(elementIn(done(given, give(button.id, null)))).not.toHaveProperty('style')
    expect(run(give(button.id, 'main-button'), site)).toMatchObject({ problem: 'style-gone' })
  })

  test.each([
    ['that is there', add(style('booking', 'Another')), 'style-taken'],
    ['by the id of a base style', add(style('card', 'Another')), 'style-taken'],
    [
      'by a name that is taken, letter case aside',
      add(style('x', 'BOOKING button')),
      'style-named',
    ],
    ['under one that is not there', add(style('x', 'X', { parent: 'gone' })), 'style-gone'],
    ['under one of another kind', add(style('x', 'X', { parent: 'ticket' })), 'style-other-kind'],
    ['under a base style', add(style('x', 'X', { parent: 'main-button' })), 'style-gone'],
    [
      'worn by what is not there',
      add(style('x', 'X'), [{ doc: 'home', element: 'gone' }]),
      'element-gone',
    ],
    [
      'worn by another kind',
      add(style('x', 'X'), [{ doc: 'home', element: plain.id }]),
      'style-other-kind',
    ],
  ])('one %s is not made', (_what, edit, problem) => {
    expect(run(edit)).toEqual({ ok: false, problem })
  })

  test('one inherits from another, and never from itself', () => {
    const change = (id: string, more: object) => ({ type: 'changeStyle', style: id, ...more })
    const three = done(
      docs,
      add(style('a', 'A')),
      add(style('b', 'B', { parent: 'a' })),
      add(style('c', 'C', { parent: 'b' })),
    )
    for (const parent of ['a', 'b', 'c']) {
      expect(run(change('a', { parent }), three)).toEqual({ ok: false, problem: 'style-circle' })
    }
    const moved = done(three, change('c', { parent: 'a', name: 'See' }))
    expect(moved.frame.styles['c' as never]).toMatchObject({ parent: 'a', name: 'See' })
    expect(
      done(moved, change('c', { parent: null })).frame.styles['c' as never],
    ).not.toHaveProperty('parent')
    expect(run(change('c', { name: 'b' }), three)).toMatchObject({ problem: 'style-named' })
    expect(run(change('card', { name: 'Box' }), three)).toMatchObject({ problem: 'style-gone' })
  })
})

test('site-wide settings are set together, within their ranges, and told in words', () => {
  const edit = { type: 'setSettings', settings: { buttonCorner: 999, density: 0.8 } }
  const site = done(docs, edit)
  expect(site.frame.settings).toEqual({ ...frame.settings, buttonCorner: 999, density: 0.8 })
  expect(describeEdit(editSchema.parse(edit) as Edit, docs)).toBe('Density: 0.8, and 1 other')
  for (const settings of [{ buttonCorner: -1 }, { density: 9 }, { sparkle: 1 }, { bodyFace: '' }]) {
    expect(editSchema.safeParse({ type: 'setSettings', settings }).success).toBe(false)
  }
})

describe('a border and its sides', () => {
  const sides = ['lineTop', 'lineRight', 'lineBottom', 'lineLeft']
  const button = Object.values(home.body.elements).find(({ kind }) => kind === 'mainButton')!
  const [ink, brand, mist] = ['ink', 'brand', 'mist'].map((slot) => ({ slot }))
  const all = (value: unknown) => ({
    type: 'setLooks',
    settings: sides.map((key) => ({
      on: { doc: 'home', element: button.id },
      key,
      state: 'rest',
      value,
    })),
  })

  test('sides that are all alike go with the whole border when that is set', () => {
    const site = done(docs, on(button.id, 'line', ink), all(ink), on(button.id, 'line', brand))
    expect(colorsOf(site, button.id)).toEqual({ line: { rest: brand } })
    const alone = done(docs, all(mist), on(button.id, 'line', brand))
    expect(colorsOf(alone, button.id)).toEqual({ line: { rest: brand } })
  })

  test('a side that somebody parted stays what it is, the others follow', () => {
    const site = done(
      docs,
      on(button.id, 'line', ink),
      all(ink),
      on(button.id, 'lineTop', mist),
      on(button.id, 'line', brand),
    )
    expect(colorsOf(site, button.id)).toEqual({ line: { rest: brand }, lineTop: { rest: mist } })
  })

  test('one side set alone stays', () => {
    const site = done(docs, on(button.id, 'lineLeft', mist), on(button.id, 'line', brand))
    expect(colorsOf(site, button.id)).toEqual({ line: { rest: brand }, lineLeft: { rest: mist } })
  })
})
