import fc from 'fast-check'
import { designSite, designs } from '../designs/ready'
import { baseStyle } from '../elements'
import { propertiesOfThing, spotsOnPage, traceFacet, traceFeature } from '../resolve'
import { isFeature } from '../elements'
import {
  applyRecordChanges,
  bodyOf,
  canonicalJson,
  pagesInOrder,
  walkSection,
  type SiteDocs,
  type SiteElement,
} from '../site'
import { anyLooking } from '../site/any-looks.fixture'
import { states } from '../traits'
import { planInMemory } from './in-memory'
import { wideIntent, type WideIntent } from './wides'

const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)

/** Sites that look like no other, each out of one of the designs. */
const anySite = fc.constantFrom(...designs).chain((design) => {
  const { docs } = designSite(design, 'Any site', [])
  // One page is as good as ten, and sooner done.
  const [page] = pagesInOrder(docs)
  return anyLooking({ ...docs, pages: { [page!.id]: page! } })
})

/** All that is seen of every element, in every state. */
function seenOf(docs: SiteDocs): Map<string, string> {
  const seen = new Map<string, string>()
  for (const { id: page } of pagesInOrder(docs)) {
    for (const spot of spotsOnPage(docs, page)) {
      walkSection(bodyOf(docs, spot.doc)!, spot.section, (element) => {
        for (const property of propertiesOfThing(element)) {
          for (const state of states) {
            const value = isFeature(property)
              ? traceFeature(spot, element, property, state).value
              : traceFacet(spot, element, property, state).paint
            seen.set(
              `${page} ${spot.doc} ${element.id} ${property.key} ${state}`,
              value === undefined ? 'nothing' : canonicalJson(value),
            )
          }
        }
      })
    }
  }
  return seen
}

function done(docs: SiteDocs, intent: WideIntent): SiteDocs {
  const plan = planInMemory(docs, wideIntent.parse(intent))
  if (!plan.ok) throw new Error(plan.problem)
  return applyRecordChanges(docs, plan.changes)
}

const elementsOf = (docs: SiteDocs): Array<SiteElement & { readonly doc: string }> =>
  ['frame' as const, ...pagesInOrder(docs).map(({ id }) => id)].flatMap((doc) =>
    Object.values(bodyOf(docs, doc)!.elements).map((element) => ({ ...element, doc })),
  )

const given = (docs: SiteDocs) =>
  Object.values(docs.frame.styles).filter(({ id }) => !baseStyle(id))

test('a style that is taken away and leaves its looks changes nothing that is seen', () => {
  console.warn(`exchanged styles: EASEL_SEED=${seed}`)
  fc.assert(
    fc.property(anySite, fc.nat(), (docs, roll) => {
      const styles = given(docs)
      fc.pre(styles.length > 0)
      const { id } = styles[roll % styles.length]!
      const after = done(docs, {
        type: 'exchangeStyle',
        style: id,
        to: null,
        keep: true,
        remove: true,
      })
      expect(after.frame.styles).not.toHaveProperty(id)
      expect(elementsOf(after).some(({ style }) => style === id)).toBe(false)
      const [before, now] = [seenOf(docs), seenOf(after)]
      const other = [...before].filter(([key, value]) => now.get(key) !== value)
      expect(other).toEqual([])
    }),
    { seed, numRuns: 40 },
  )
})

test('a style in the place of another is worn by all that wore it', () => {
  fc.assert(
    fc.property(anySite, fc.nat(), (docs, roll) => {
      const pairs = given(docs).flatMap((one) =>
        given(docs).flatMap((two) =>
          one.id !== two.id && one.kind === two.kind ? [[one, two]] : [],
        ),
      )
      fc.pre(pairs.length > 0)
      const [one, two] = pairs[roll % pairs.length]!
      const after = done(docs, {
        type: 'exchangeStyle',
        style: one!.id,
        to: two!.id,
        keep: false,
        remove: false,
      })
      const wore = elementsOf(docs).filter(({ style }) => style === one!.id || style === two!.id)
      const wears = elementsOf(after).filter(({ style }) => style === two!.id)
      expect(wears.map(({ id }) => id)).toEqual(wore.map(({ id }) => id))
    }),
    { seed, numRuns: 30 },
  )
})

test('what is lifted to a style is seen on all that decided it themselves as before, and they follow', () => {
  fc.assert(
    fc.property(anySite, fc.nat(), (docs, roll) => {
      const own = elementsOf(docs).flatMap((element) =>
        propertiesOfThing(element).flatMap(({ key }) =>
          states.flatMap((state) => {
            const value = element.looks?.[key]?.[state]
            return value === undefined ? [] : [{ element, key, state, value }]
          }),
        ),
      )
      fc.pre(own.length > 0)
      const { element, key, state, value } = own[roll % own.length]!
      // What a single thing may hold, its style may hold as well.
      const style = element.style ?? given(docs).find(({ kind }) => kind === element.kind)?.id
      fc.pre(style !== undefined && docs.frame.styles[style]!.kind === element.kind)
      const after = done(docs, {
        type: 'liftLook',
        kind: element.kind,
        key,
        state,
        value,
        to: { style: style! },
      })
      expect(after.frame.styles[style!]!.looks[key]?.[state]).toEqual(value)
      const [before, now] = [seenOf(docs), seenOf(after)]
      const text = canonicalJson(value)
      for (const each of own.filter((one) => one.key === key && one.state === state)) {
        if (canonicalJson(each.value) !== text) continue
        const keys = [...before.keys()].filter((at) =>
          at.endsWith(` ${each.element.doc} ${each.element.id} ${key} ${state}`),
        )
        for (const at of keys) expect(now.get(at)).toBe(before.get(at))
      }
    }),
    { seed, numRuns: 40 },
  )
})

const site = fc.sample(anySite, { numRuns: 1, seed: 7 })[0]!
test.each([
  [{ type: 'exchangeStyle', style: 'gone', to: null, keep: true, remove: true }, 'style-gone'],
  [{ type: 'exchangeStyle', style: 'card', to: null, keep: true, remove: true }, 'style-gone'],
  [
    {
      type: 'liftLook',
      kind: 'card',
      key: 'sparkle',
      state: 'rest',
      value: 1,
      to: { style: 'card' },
    },
    'property-unknown',
  ],
  [
    {
      type: 'liftLook',
      kind: 'constructor',
      key: 'corner',
      state: 'rest',
      value: 1,
      to: { style: 'card' },
    },
    'property-unknown',
  ],
  [
    {
      type: 'liftLook',
      kind: 'card',
      key: 'corner',
      state: 'rest',
      value: 900,
      to: { setting: 'cardCorner' },
    },
    'value-unfit',
  ],
  [
    {
      type: 'liftLook',
      kind: 'card',
      key: 'corner',
      state: 'rest',
      value: 'x',
      to: { style: 'card' },
    },
    'value-unfit',
  ],
])('%j is refused: %s', (intent, problem) => {
  expect(planInMemory(site, wideIntent.parse(intent))).toEqual({ ok: false, problem })
})
