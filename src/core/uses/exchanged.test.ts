import { noPictures } from './held-pictures'
import { demoSites } from '@demo/sites'
import fc from 'fast-check'
import { applyChanges, reversed, type Change } from '../changes'
import { kindOf } from '../elements'
import { isColor, type ColorDecision, type Page, type Paint } from '../site'
import { exchangedDecisions } from './exchanged'
import { usesIn } from './find-uses'
import { writtenDecision } from './places/decision-use'

const seed = 20261127

const color = fc
  .integer({ min: 0, max: 0xffffff })
  .map((n) => ({ value: `#${n.toString(16).padStart(6, '0')}` }))
const decision: fc.Arbitrary<ColorDecision> = fc.oneof(
  color,
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
    return { ...from, body: { ...from.body, elements } } as Page
  })

const usesOf = (some: Page) => usesIn({ kind: 'page', id: some.id }, some, noPictures)

test('where decisions alone are exchanged, the uses are those there were, each come to what was decided', () => {
  fc.assert(
    fc.property(page, fc.infiniteStream(fc.option(decision)), (before, wanted) => {
      const own = usesOf(before).filter(({ start, owner }) => start === undefined && owner.element)
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
    { seed, numRuns: 60 },
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
    'the fill of a section, which its band tells as well',
    {
      path: ['body', 'sections', 's', 'looks', 'fill', 'rest'],
      from: { value: '#000' },
      to: { value: '#fff' },
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
  const [one, two, three] = [{ value: '#111' }, { value: '#222' }, { slot: 'brand' }]
  const found = exchangedDecisions([
    { path, from: one, to: two },
    { path, from: two, to: three },
  ])
  expect(found).toEqual([{ path, decision: three }])
  expect(found!.every(({ decision: each }) => isColor(each))).toBe(true)
})
