import { noPictures } from './held-pictures'
import { demoSites } from '@demo/sites'
import fc from 'fast-check'
import { applyChanges, isSame, reversed, type Change, type Json } from '../changes'
import { kindOf } from '../elements'
import { canonicalJson, isColor, type ColorDecision, type Page, type Paint } from '../site'
import { exchangedDecisions, exchangedText, exchangeEverywhere, textExchanges } from './exchanged'
import { usesIn } from './find-uses'
import { countLooks } from './looks'
import { writtenDecision } from './places/decision-use'
import type { Use } from './use'

const seed = 20261127
const [one, two, three] = [{ value: '#111' }, { value: '#222' }, { slot: 'brand' }] as const

const color = fc
  .integer({ min: 0, max: 0xffffff })
  .map((n) => ({ value: `#${n.toString(16).padStart(6, '0')}` }))
const decision: fc.Arbitrary<ColorDecision> = fc.oneof(
  color,
  fc.constantFrom('#111', '#222', '#333').map((value) => ({ value })),
  fc.constantFrom({ value: 'rgb(10 20 30 / 40%)' }, { value: 'transparent' }, { value: 'RED' }),
  fc.constantFrom('brand', 'gone').map((slot) => ({ slot }) as ColorDecision),
  fc
    .integer({ min: -20, max: 20 })
    .map((lightness) => ({ slot: 'brand', shade: { lightness } }) as ColorDecision),
)

const gradient = (stops: readonly ColorDecision[]) =>
  ({
    gradient: 'linear',
    angle: 90,
    stops: stops.map((each, at) => ({ at: at * 10, color: each })),
  }) as Paint
const paint: fc.Arbitrary<Paint> = fc.oneof(
  { weight: 4, arbitrary: decision as fc.Arbitrary<Paint> },
  { weight: 1, arbitrary: fc.array(decision, { minLength: 2, maxLength: 4 }).map(gradient) },
  {
    weight: 1,
    arbitrary: decision.map((under) => ({ picture: 'p', under }) as unknown as Paint),
  },
)

/** A demo page on which every facet of every element may hold a paint of its own, in both states. */
const page: fc.Arbitrary<Page> = fc
  .tuple(
    fc.constantFrom(...demoSites.flatMap(({ pages }) => pages)),
    fc.infiniteStream(fc.option(paint, { freq: 2 })),
  )
  .map(([from, paints]) => {
    const next = () => paints.next().value ?? undefined
    const elements = Object.fromEntries(
      Object.entries(from.body.elements).map(([id, element]) => {
        const looks = Object.fromEntries(
          kindOf(element.kind).facets.map(({ key }) => {
            const [rest, hover] = [next(), next()]
            return [key, { ...(rest ? { rest } : {}), ...(hover ? { hover } : {}) }]
          }),
        )
        return [id, { ...element, looks }]
      }),
    )
    const sections = Object.fromEntries(
      Object.entries(from.body.sections).map(([id, section]) => {
        const fill = next()
        return [id, fill ? { ...section, looks: { fill: { rest: fill } } } : section]
      }),
    )
    return { ...from, body: { ...from.body, elements, sections } } as Page
  })

const isOfLooks = ({ start, path }: Use) => start === undefined && path[3] === 'looks'
const usesOf = (some: Page) => usesIn({ kind: 'page', id: some.id }, some, noPictures)

test('where decisions alone are exchanged, the uses are those there were, each come to what was decided', () => {
  fc.assert(
    fc.property(page, fc.infiniteStream(fc.option(decision)), (before, wanted) => {
      const own = usesOf(before).filter(isOfLooks)
      const changes = own.flatMap(({ path, decision: from }): Change[] => {
        const to = wanted.next().value
        return to ? [{ path, from, to }] : []
      })
      const after = applyChanges(before, changes) as Page
      for (const [was, is, way] of [
        [before, after, changes],
        [after, before, reversed(changes)],
      ] as const) {
        const exchanged = exchangedDecisions(way)!
        const byPath = new Map(exchanged.map((each) => [each.path.join('/'), each.decision]))
        expect(byPath.size).toBe(changes.length)
        const patched = usesOf(was).map((use) => {
          const to = use.start === undefined ? byPath.get(use.path.join('/')) : undefined
          if (!to) return use
          const { color: _color, ...rest } = use
          return { ...rest, ...writtenDecision(to) }
        })
        expect(patched).toEqual(usesOf(is))
      }
    }),
    { seed, numRuns: 40 },
  )
})

test.each<[string, Change]>([
  [
    'a decision that is new',
    { path: ['body', 'elements', 'a', 'looks', 'text', 'rest'], to: { value: '#000' } },
  ],
  [
    'one that goes',
    { path: ['body', 'elements', 'a', 'looks', 'text', 'rest'], from: { slot: 'brand' } },
  ],
  [
    'a gradient in the place of a colour',
    {
      path: ['body', 'elements', 'a', 'looks', 'fill', 'rest'],
      from: { value: '#000' },
      to: { gradient: 'linear', angle: 0, stops: [] },
    },
  ],
  [
    'words',
    {
      path: ['body', 'elements', 'a', 'content', 'looks'],
      from: { value: 'a' },
      to: { value: 'b' },
    },
  ],
  ['a stretch of a text', { path: ['body', 'elements', 'a', 'looks'], at: 0, out: 'a', in: 'b' }],
])('%s is more than an exchange', (_what, change) => {
  expect(exchangedDecisions([change])).toBeUndefined()
})

test('of several exchanges in one place the last counts', () => {
  const path = ['body', 'elements', 'a', 'looks', 'text', 'rest']
  const found = exchangedDecisions([
    { path, from: one, to: two },
    { path, from: two, to: three },
  ])
  expect(found).toEqual([{ path, decision: three }])
  expect(found!.every(({ decision: each }) => isColor(each))).toBe(true)
})

/** A page, and changes that exchange all of some decisions in it. */
const allExchanged = fc
  .tuple(
    page,
    fc.array(fc.tuple(fc.nat({ max: 9 }), fc.oneof(decision, fc.nat({ max: 9 }))), {
      minLength: 1,
      maxLength: 6,
    }),
  )
  .map(([before, wanted]) => {
    const own = usesOf(before).filter(isOfLooks)
    const texts = [...new Set(own.map((use) => canonicalJson(use.decision)))]
    const there = (n: number) => texts[n % texts.length]
    const into = new Map(
      wanted.map(([n, to]) => {
        const text = typeof to === 'number' ? there(to) : canonicalJson(to)
        return [there(n), text && (JSON.parse(text) as ColorDecision)] as const
      }),
    )
    const changes = own.flatMap(({ path, decision: from }): Change[] => {
      const to = into.get(canonicalJson(from))
      return to && canonicalJson(to) !== canonicalJson(from) ? [{ path: [...path], from, to }] : []
    })
    return { before, changes }
  })

test('a text in which all of some decisions are exchanged is that of the record with them exchanged', () => {
  let [swaps, partly] = [0, 0]
  fc.assert(
    fc.property(allExchanged, ({ before, changes }) => {
      const exchanges = textExchanges(changes)!
      const froms = new Set(exchanges.map(({ from }) => canonicalJson(from)))
      if (exchanges.some(({ to }) => froms.has(canonicalJson(to)))) swaps += 1
      const after = applyChanges(before, changes)!
      const text = exchangedText(canonicalJson(before), exchanges)
      expect(text).toBe(canonicalJson(after))

      // Where one of several stays as it is, the text cannot tell which.
      const several = exchanges.find(({ count }) => count > 1)
      if (!several) return
      const first = changes.findIndex(
        (change) => 'from' in change && isSame(change.from, several.from as Json),
      )
      const fewer = textExchanges(changes.toSpliced(first, 1))!
      expect(exchangedText(canonicalJson(before), fewer)).toBeUndefined()
      partly += 1
    }),
    { seed, numRuns: 80 },
  )
  expect(Math.min(swaps, partly)).toBeGreaterThan(3)
})

test('the looks of a record come to those that their texts come to', () => {
  fc.assert(
    fc.property(allExchanged, ({ before, changes }) => {
      const exchanges = textExchanges(changes)!
      const sum = new Map<string, number>()
      for (const { key, count } of countLooks(before.body)) {
        const { text } = exchangeEverywhere(key, exchanges)
        sum.set(text, (sum.get(text) ?? 0) + count)
      }
      const after = countLooks(applyChanges(before, changes)!.body)
      expect(sum).toEqual(new Map(after.map(({ key, count }) => [key, count])))
    }),
    { seed, numRuns: 60 },
  )
})

test('what people wrote is not taken for a decision', () => {
  const [from, to] = [{ value: '#1c5a54' }, { value: '#6b2d5c' }]
  const looks = { text: { rest: from } }
  const words = canonicalJson(from)
  const record = { body: { elements: { a: { content: { text: words }, looks } } } }
  const changes = [{ path: ['body', 'elements', 'a', 'looks', 'text', 'rest'], from, to }]
  const text = exchangedText(canonicalJson(record), textExchanges(changes)!)!
  expect(JSON.parse(text)).toEqual(applyChanges(record, changes))
  expect(text).toContain(JSON.stringify(words))
})

test.each<[string, Change[]]>([
  [
    'one decision for now this and now that',
    [
      { path: ['body', 'elements', 'a', 'looks', 'text', 'rest'], from: one, to: two },
      { path: ['body', 'elements', 'b', 'looks', 'text', 'rest'], from: one, to: three },
    ],
  ],
  [
    'several in one place',
    [
      { path: ['body', 'elements', 'a', 'looks', 'text', 'rest'], from: one, to: two },
      { path: ['body', 'elements', 'a', 'looks', 'text', 'rest'], from: two, to: three },
    ],
  ],
])('%s is not exchanged in a text', (_what, changes) => {
  expect(textExchanges(changes)).toBeUndefined()
})
