import fc from 'fast-check'
import type { HitLine } from '@/core/payloads'
import {
  cellsOf,
  countingCells,
  fitsFilter,
  mostRules,
  tickedBy,
  useFilter,
  type UseFilter,
} from '@/core/sweep'
import type { PlaceId } from '@/core/uses'
import { allTicked, isTicked, tickHit, tickPart, ticksOf, totalsOf } from './ticks'

const facets = {
  place: fc.constantFrom<PlaceId>('content', 'themes', 'custom-css'),
  doc: fc.constantFrom('home', 'shop', 'frame'),
  object: fc.constantFrom('button', 'card'),
  paints: fc.constantFrom('fill', 'text'),
  state: fc.constantFrom('rest', 'hover'),
  pair: fc.constantFrom(0, 1),
}
const anyHits = fc
  .array(fc.record({ ...facets, binds: fc.constantFrom<-1 | 0 | 1>(-1, 0, 1) }), {
    minLength: 1,
    maxLength: 30,
  })
  .map((hits) => hits.map((hit, i) => ({ ...hit, key: `k${i}` }) as unknown as HitLine))
const anyFilter = fc.record(facets, { requiredKeys: [] }) as fc.Arbitrary<UseFilter>

const cellsOfHits = (hits: readonly HitLine[]) => {
  const counting = countingCells()
  for (const hit of hits) counting.add(hit, 1, hit.binds)
  return cellsOf(counting.table())
}

test('however one ticks, the numbers are those of the hits that are ticked, and the sweep is told the same', () => {
  fc.assert(
    fc.property(
      anyHits,
      fc.array(fc.tuple(fc.nat(), fc.option(anyFilter, { nil: undefined }), fc.boolean())),
      (hits, moves) => {
        let ticks = allTicked
        const expected = new Set(hits.map(({ key }) => key))
        for (const [pick, where, take] of moves) {
          const hit = hits[pick % hits.length]!
          ticks = where ? tickPart(ticks, where, take)! : tickHit(ticks, hit, take)
          const touched = where ? hits.filter((each) => fitsFilter(where, each)) : [hit]
          for (const { key } of touched) {
            if (take) expected.add(key)
            else expected.delete(key)
          }
        }
        const taken = hits.filter((hit) => isTicked(ticks, hit))
        expect(new Set(taken.map(({ key }) => key))).toEqual(expected)
        const chosen = tickedBy(ticksOf(ticks))
        expect(hits.filter((hit) => chosen(hit.key, hit))).toEqual(taken)
        const binds = taken.reduce((sum, hit) => sum + hit.binds, 0)
        expect(totalsOf(100, cellsOfHits(hits), ticks)).toEqual({
          count: taken.length,
          bind: taken.filter((hit) => hit.binds > 0).length,
          looseAfter: 100 - binds,
        })
      },
    ),
  )
})

test('cells say of every hit what it is told apart by', () => {
  fc.assert(
    fc.property(anyHits, (hits) => {
      const cells = cellsOfHits(hits)
      for (const cell of cells) {
        const { count, bind: _bind, loosen: _loosen, ...where } = cell
        expect(useFilter.parse(where)).toEqual(where)
        expect(hits.filter((hit) => fitsFilter(where as UseFilter, hit))).toHaveLength(count)
      }
      expect(cells.reduce((sum, { count }) => sum + count, 0)).toBe(hits.length)
    }),
  )
})

test('a rule too many is refused rather than dropped', () => {
  let ticks = allTicked
  for (let i = 0; i < mostRules; i += 1) ticks = tickPart(ticks, { doc: `page-${i}` }, false)!
  expect(tickPart(ticks, { doc: 'one-more' }, false)).toBeUndefined()
  expect(tickPart(ticks, {}, true)!.rules).toEqual([{ where: {}, take: true }])
})
