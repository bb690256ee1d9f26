import { demoSites } from '@demo/sites'
import fc from 'fast-check'
import { applyChanges, changesBetween, type Change } from '@/core/changes'
import type { ColorDecision, Page } from '@/core/site'
import { noPictures, usesIn } from '@/core/uses'
import { indexChange } from './index-change'
import { indexOfText, type RecordIndex } from './rows'

const seed = 20261128
const pages = demoSites.flatMap((site) => site.pages)
const ref = (page: Page) => ({ kind: 'page' as const, id: page.id })

/** Looks have no order: they stand here by their keys. */
const byKey = (looks: RecordIndex['looks']) => [...looks].sort((a, b) => (a.key < b.key ? -1 : 1))
const putLooks = (old: RecordIndex['looks'], more: RecordIndex['looks']) => {
  const all = new Map(old.map((row) => [row.key, row]))
  for (const row of more) {
    all.set(row.key, { ...row, count: (all.get(row.key)?.count ?? 0) + row.count })
  }
  return byKey([...all.values()].filter(({ count }) => count !== 0))
}
const readersSay = (page: Page): RecordIndex => {
  const index = indexOfText(ref(page), page)
  return { ...index, looks: byKey(index.looks) }
}

/** What is kept beside a record, after a change was put in the place of what was. */
function kept(before: Page, after: Page, changes: readonly Change[]): RecordIndex {
  const was = indexOfText(ref(before), before)
  const { counts, rows, exchanged } = indexChange(ref(before), before, after, changes)
  const put = <Row extends { readonly n: number }>(
    old: readonly Row[],
    fresh: readonly Row[],
    count: number | null,
  ): Row[] => {
    const byNumber = new Map([...old, ...fresh].map((row) => [row.n, row]))
    const all = [...byNumber.values()].sort((a, b) => a.n - b.n)
    return all.slice(0, count ?? old.length)
  }
  const byPath = new Map(exchanged.map((row) => [row.path, row]))
  const uses = put(was.uses, rows.uses, counts.uses).map((row) =>
    row.start === null && byPath.has(row.path) ? { ...row, ...byPath.get(row.path)! } : row,
  )
  return {
    uses,
    bands: put(was.bands, rows.bands, counts.bands),
    looks: putLooks(was.looks, rows.looks),
  }
}

const decision: fc.Arbitrary<ColorDecision> = fc.oneof(
  fc
    .integer({ min: 0, max: 0xffffff })
    .map((n) => ({ value: `#${n.toString(16).padStart(6, '0')}` })),
  fc.constantFrom('brand', 'spark').map((slot) => ({ slot }) as ColorDecision),
)

test('what a page keeps beside it after decisions were exchanged is what the readers say of it', () => {
  const wanted = fc.infiniteStream(fc.option(decision))
  fc.assert(
    fc.property(fc.constantFrom(...pages), wanted, (page, decisions) => {
      const own = usesIn(ref(page), page, noPictures).filter(({ start }) => start === undefined)
      const changes = own.flatMap(({ path, decision: from }): Change[] => {
        const to = decisions.next().value
        return to ? [{ path, from, to }] : []
      })
      const after = applyChanges(page, changes) as Page
      expect(kept(page, after, changes)).toEqual(readersSay(after))
    }),
    { seed, numRuns: 60 },
  )
})

test('and after elements came, went and got other words', () => {
  fc.assert(
    fc.property(fc.constantFrom(...pages), fc.nat(), fc.nat(), (page, first, second) => {
      const ids = Object.keys(page.body.elements)
      const [gone, renamed] = [ids[first % ids.length]!, ids[second % ids.length]!]
      const elements = Object.fromEntries(
        Object.entries(page.body.elements)
          .filter(([id]) => id !== gone)
          .map(([id, element]) => [
            id,
            id === renamed && element.kind === 'heading'
              ? { ...element, content: { ...element.content, text: 'Other words' } }
              : element,
          ]),
      )
      const after = { ...page, body: { ...page.body, elements } } as Page
      const changes = changesBetween(page, after)
      expect(kept(page, after, changes)).toEqual(readersSay(after))
    }),
    { seed, numRuns: 40 },
  )
})
