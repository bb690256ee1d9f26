import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { changedDocs, inverseOf } from '../edit'
import { planInMemory } from '../wide'
import {
  siteDocs,
  canonicalJson,
  frameSchema,
  isBound,
  type ColorDecision,
  type SiteDocs,
  type SlotId,
} from '../site'
import { useKey, usesInSite } from '../uses'
import { takeInventory } from './inventory'
import { sweepRequest, type SweepRequest } from './pair'
import { pairFaults } from './pair-faults'
import { chosenHits, planSweep } from './plan'
import { colorKey, colorOf } from '../color'

const [tern] = demoSites
const docs: SiteDocs = siteDocs(tern!.frame, tern!.pages)
const usesOf = ({ frame, pages }: SiteDocs) => usesInSite(frame, Object.values(pages))

function sweepOn(start: SiteDocs, request: unknown) {
  const parsed = sweepRequest.parse(request)
  const hits = chosenHits(planSweep(start.frame.palette, usesOf(start), parsed), parsed.ticks)
  const planned = planInMemory(start, { type: 'sweep', request: parsed })
  if (!planned.ok) throw new Error(planned.problem)
  expect(planned.count).toBe(hits.length)
  const after = changedDocs(start, planned.changes)!
  const back = changedDocs(after, inverseOf(planned.changes))!
  return { hits, docs: after, back }
}

const boundTo = (site: SiteDocs, slot: string) =>
  usesOf(site).filter(({ decision }) => isBound(decision) && decision.slot === slot).length
const looseLike = (site: SiteDocs, value: string) =>
  usesOf(site).filter(
    ({ decision, color }) =>
      !isBound(decision) && color && colorKey({ ...color, alpha: 1 }) === colorKey(colorOf(value)!),
  ).length

describe('the old green', () => {
  const request = {
    pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { slot: 'brand' } }],
    scope: 'site',
  }

  test('is found in every notation and every place, and nowhere else', () => {
    const { hits } = sweepOn(docs, request)
    const written = new Set(hits.map(({ use }) => use.text))
    for (const text of [
      '#1c5a54',
      '#1C5A54',
      'rgb(28 90 84)',
      'rgb(28, 90, 84)',
      'rgba(28, 90, 84, .18)',
      'hsl(174, 53%, 23%)',
      'hsl(174 53% 23%)',
      '#1c5a5440',
    ]) {
      expect([...written]).toContain(text)
    }
    expect(new Set(hits.map(({ use }) => use.place))).toEqual(
      new Set(['content', 'shared', 'embeds', 'custom-css', 'add-ons']),
    )
  })

  test('is bound to the slot, alpha kept, and leaves none', () => {
    const { docs: after } = sweepOn(docs, request)
    expect(looseLike(after, '#1c5a54')).toBe(0)
    expect(after.frame.customCss).toContain(
      '.card .price { color: var(--slot-brand); font-weight: 700; }',
    )
    expect(after.frame.customCss).toContain(
      'rgb(from var(--slot-brand) r g b / calc(alpha - 0.82))',
    )
    expect(after.frame.addOns[0]!.settings['launcher.background']).toEqual({ slot: 'brand' })
  })

  test('in comments, strings and words it stays to the byte', () => {
    const { docs: after } = sweepOn(docs, request)
    expect(after.frame.customCss).toContain(
      '/* Sold out ribbon. Do not touch the #1c5a54 in this comment. */',
    )
    expect(after.frame.customCss).toContain('content: "#1c5a54 is not a colour here"')
  })

  test('undone, every byte is back', () => {
    expect(canonicalJson(sweepOn(docs, request).back)).toBe(canonicalJson(docs))
  })
})

test('a slot that holds the colour is swept with the rest, remembers it, and refers to no other', () => {
  const { value, was } = docs.frame.palette.slots['brand' as SlotId]!
  const from = { value: value!, within: 0 }
  const loose = sweepOn(docs, { pairs: [{ from, to: { value: '#6b2d5c' } }], scope: 'site' })
  const brand = loose.docs.frame.palette.slots['brand' as SlotId]!
  expect(brand).toMatchObject({ value: '#6B2D5C', was: [...was, value] })
  expect(canonicalJson(loose.back)).toBe(canonicalJson(docs))
  const bound = sweepOn(docs, { pairs: [{ from, to: { slot: 'spark' } }], scope: 'site' })
  expect(bound.docs.frame.palette).toEqual(docs.frame.palette)
})

test('two pairs that swap, swap', () => {
  const [spark, brand] = [boundTo(docs, 'spark'), boundTo(docs, 'brand')]
  const swap = {
    pairs: [
      { from: { slot: 'spark' }, to: { slot: 'brand' } },
      { from: { slot: 'brand' }, to: { slot: 'spark' } },
    ],
    scope: 'site',
  }
  const once = sweepOn(docs, swap)
  expect([boundTo(once.docs, 'spark'), boundTo(once.docs, 'brand')]).toEqual([brand, spark])
  expect(canonicalJson(once.back)).toBe(canonicalJson(docs))
  expect(canonicalJson(sweepOn(once.docs, swap).docs)).toBe(canonicalJson(docs))
})

test('two loose colours in custom CSS that swap, swap', () => {
  const frame = frameSchema.parse({
    ...docs.frame,
    customCss: 'a{color:#ff0000;background:blue}b{color:rgb(0,0,255)}',
  })
  const { docs: after } = sweepOn(siteDocs(frame), {
    pairs: [
      { from: { value: 'red', within: 0 }, to: { value: 'blue' } },
      { from: { value: '#00f', within: 0 }, to: { value: '#f00' } },
    ],
    scope: 'site',
  })
  expect(after.frame.customCss).toBe('a{color:#0000ff;background:red}b{color:rgb(255,0,0)}')
})

test('scope, properties and unticked lines narrow it', () => {
  const pairs = [{ from: { value: '#1c5a54', within: 0 }, to: { slot: 'brand' } }]
  const page = sweepOn(docs, { pairs, scope: 'shop' })
  expect(new Set(page.hits.map(({ use }) => use.doc))).toEqual(new Set(['shop']))
  const lines = sweepOn(docs, { pairs, scope: 'site', paints: ['line'] })
  expect(lines.hits.length).toBeGreaterThan(2)
  expect(lines.hits.every(({ use }) => use.paints === 'line')).toBe(true)
  const all = sweepOn(docs, { pairs, scope: 'site' })
  const without = [all.hits[0]!.key]
  expect(sweepOn(docs, { pairs, scope: 'site', ticks: { except: without } }).hits).toHaveLength(
    all.hits.length - 1,
  )
})

test('near colours by CIEDE2000, the nearest pair takes a use', () => {
  const { hits } = sweepOn(docs, {
    pairs: [
      { from: { value: '#1c5a54', within: 5 }, to: { slot: 'brand' } },
      { from: { value: '#205c58', within: 5 }, to: { slot: 'slate' } },
    ],
    scope: 'site',
  })
  for (const { use, pair } of hits) {
    expect(pair).toBe(
      colorKey({ ...use.color!, alpha: 1 }) === colorKey(colorOf('#205c58')!) ? 1 : 0,
    )
  }
  expect(hits.filter(({ pair }) => pair === 1)).toHaveLength(3)
})

test('a use bound to a shade stays that shade of the new slot', () => {
  const { docs: after } = sweepOn(docs, {
    pairs: [{ from: { slot: 'brand' }, to: { slot: 'spark' } }],
    scope: 'site',
  })
  const { roles } = after.frame.themes.byId['on-paper' as keyof typeof after.frame.themes.byId]!
  expect(roles.linkHover).toEqual({ slot: 'spark', shade: { lightness: -12 } })
})

test('any sweep changes every use it lists, not one other, and comes back to the byte', () => {
  const slot = fc.constantFrom(...docs.frame.palette.order)
  const value = fc.constantFrom(
    '#1c5a54',
    'white',
    '#2e6fb7',
    '#d65a2a',
    '#205c58',
    '#efe6d2',
    'black',
  )
  const from = fc.oneof(
    fc.record({ slot }),
    fc.record({ slot, shade: fc.constantFrom({}, { lightness: 8 }, { lightness: -12 }) }),
    fc.record({ value, within: fc.constantFrom(0, 2, 10) }),
    fc.record({ value, within: fc.constantFrom(0, 2), family: fc.constant(true as const) }),
  )
  const to: fc.Arbitrary<ColorDecision> = fc.oneof(
    fc.record({ slot: slot as fc.Arbitrary<SlotId> }),
    fc.record({
      slot: slot as fc.Arbitrary<SlotId>,
      shade: fc.record({ lightness: fc.constantFrom(-8, 8) }),
    }),
    fc.record({ value }),
  )
  const request = fc.record({
    pairs: fc.array(fc.record({ from, to }), { minLength: 1, maxLength: 3 }),
    scope: fc.constantFrom('site', 'home', 'shop'),
  }) as unknown as fc.Arbitrary<SweepRequest>
  fc.assert(
    fc.property(request, (wanted) => {
      fc.pre(!pairFaults(wanted.pairs).includes('at-odds'))
      const planned = planSweep(docs.frame.palette, usesOf(docs), wanted)
      if (planned.length === 0) return
      const { hits, docs: after, back } = sweepOn(docs, wanted)
      expect(canonicalJson(back)).toBe(canonicalJson(docs))
      const listed = new Set(hits.map(({ use }) => `${use.doc}/${use.path.join('/')}`))
      const before = new Map(usesOf(docs).map((use) => [useKey(use), use]))
      for (const use of usesOf(after)) {
        if (use.start !== undefined || listed.has(useKey(use))) continue
        expect(use.decision).toEqual(before.get(useKey(use))!.decision)
      }
      expect(usesOf(after)).toHaveLength(usesOf(docs).length)
    }),
    { numRuns: 60 },
  )
})

test('the inventory counts every use once, notations together, near ones named', () => {
  const uses = usesOf(docs)
  const entries = takeInventory(docs.frame.palette, uses)
  const counted = uses.filter(({ place }) => place !== 'palette')
  expect(entries.reduce((sum, { count }) => sum + count, 0)).toBe(counted.length)
  const old = entries.find(({ key }) => key === '1c5a54ff')!
  expect(old.near).toMatchObject({ slot: 'brand', held: true })
  expect(old.notations.length).toBeGreaterThan(4)
  expect(entries.slice(0, 6).map(({ slot }) => slot)).toEqual(docs.frame.palette.order)
})
