import fc from 'fast-check'
import { colorOf } from '../color'
import { failingInSite } from '../generate'
import { isWholeRecord, recordsOf } from '../site'
import { emptySite } from './empty'

const seed = 20261127

test('an empty site is whole, readable and bound to its slots, whatever colour it is made around', () => {
  const byte = fc.integer({ min: 0, max: 255 })
  const alpha = fc.constantFrom(100, 100, 100, 80, 30)
  fc.assert(
    fc.property(fc.option(fc.tuple(byte, byte, byte)), alpha, (rgb, a) => {
      const color = rgb ? colorOf(`rgb(${rgb.join(' ')} / ${a}%)`)! : undefined
      const docs = emptySite('Wren Cycles', color)
      for (const { kind, record } of recordsOf(docs)) {
        expect(isWholeRecord(kind, record!)).toBe(true)
      }
      expect(failingInSite(docs.frame).light).toEqual([])
      expect(docs.frame.themes.order.length).toBeGreaterThanOrEqual(2)
    }),
    { seed, numRuns: 60 },
  )
})

test('a name of any length fits', () => {
  const docs = emptySite('W'.repeat(60))
  expect(recordsOf(docs).every(({ kind, record }) => isWholeRecord(kind, record!))).toBe(true)
})
