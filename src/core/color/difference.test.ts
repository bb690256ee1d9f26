import * as culori from 'culori'
import fc from 'fast-check'
import { difference, labDifference } from './difference'
import { anyOpaque } from './random-color.fixture'
import { sharmaPairs } from './sharma.fixture'

test('all 34 pairs of Sharma, Wu and Dalal (2005), to their four decimals', () => {
  expect(sharmaPairs).toHaveLength(34)
  for (const [l1, a1, b1, l2, a2, b2, expected] of sharmaPairs) {
    const both = [
      labDifference([l1, a1, b1], [l2, a2, b2]),
      labDifference([l2, a2, b2], [l1, a1, b1]),
    ]
    for (const found of both) expect(Math.abs(found - expected)).toBeLessThan(0.00006)
  }
})

test('agrees with culori on the Lab colours of random pairs', () => {
  const reference = culori.differenceCiede2000()
  fc.assert(
    fc.property(anyOpaque, anyOpaque, (a, b) => {
      const [p, q] = [a, b].map((color) => culori.lab65({ mode: 'rgb', ...color }))
      const ours = labDifference([p!.l, p!.a, p!.b], [q!.l, q!.a, q!.b])
      expect(Math.abs(ours - reference(p!, q!))).toBeLessThan(1e-6)
    }),
    { numRuns: 1000 },
  )
})

test('is zero for a colour and itself', () => {
  fc.assert(fc.property(anyOpaque, (color) => expect(difference(color, color)).toBe(0)))
})
