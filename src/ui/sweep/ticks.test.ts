import fc from 'fast-check'
import type { DryRun, HitLine } from '@/core/payloads'
import { tickedBy } from '@/core/sweep'
import type { PlaceId } from '@/core/uses'
import { allTicked, isTicked, tickHit, tickPlace, ticksOf, totalsOf } from './ticks'

const anyHit = fc.record({
  place: fc.constantFrom<PlaceId>('content', 'themes', 'custom-css'),
  binds: fc.constantFrom<-1 | 0 | 1>(-1, 0, 1),
})
const anyHits = fc
  .array(anyHit, { minLength: 1, maxLength: 30 })
  .map((hits) => hits.map((hit, i) => ({ ...hit, key: `k${i}` }) as HitLine))

function runOf(hits: readonly HitLine[]): DryRun {
  const places = [...new Set(hits.map(({ place }) => place))].map((place) => {
    const own = hits.filter((hit) => hit.place === place)
    const bind = own.filter(({ binds }) => binds > 0).length
    return { place, count: own.length, bind, loosen: own.filter(({ binds }) => binds < 0).length }
  })
  return {
    plan: '',
    revision: 1,
    count: hits.length,
    pages: 1,
    looseBefore: 100,
    places,
    first: [],
  }
}

test('however one ticks, the numbers are those of the hits that are ticked, and the sweep is told the same', () => {
  fc.assert(
    fc.property(
      anyHits,
      fc.array(fc.tuple(fc.nat(), fc.boolean(), fc.boolean())),
      (hits, moves) => {
        let ticks = allTicked
        const expected = new Set(hits.map(({ key }) => key))
        for (const [pick, isPlace, take] of moves) {
          const hit = hits[pick % hits.length]!
          ticks = isPlace ? tickPlace(ticks, hit.place, take) : tickHit(ticks, hit, take)
          const touched = isPlace ? hits.filter(({ place }) => place === hit.place) : [hit]
          for (const { key } of touched) {
            if (take) expected.add(key)
            else expected.delete(key)
          }
        }
        const taken = hits.filter((hit) => isTicked(ticks, hit))
        expect(new Set(taken.map(({ key }) => key))).toEqual(expected)
        const chosen = tickedBy(ticksOf(ticks))
        expect(hits.filter(({ key, place }) => chosen(key, place))).toEqual(taken)
        const binds = taken.reduce((sum, hit) => sum + hit.binds, 0)
        expect(totalsOf(runOf(hits), ticks)).toEqual({
          count: taken.length,
          bind: taken.filter((hit) => hit.binds > 0).length,
          looseAfter: 100 - binds,
        })
      },
    ),
  )
})
