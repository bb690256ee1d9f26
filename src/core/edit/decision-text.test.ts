import fc from 'fast-check'
import { ternFrame } from '@demo/tern/frame'
import { tidyShade } from '../color'
import type { ColorDecision } from '../site'
import { readDecision, writeDecision } from './decision-text'

const { palette } = ternFrame
const points = (most: number) => fc.integer({ min: -most, max: most })
const anyDecision: fc.Arbitrary<ColorDecision> = fc
  .record({
    slot: fc.constantFrom(...palette.order),
    shade: fc.record(
      { lightness: points(100), saturation: points(100), hue: points(180), alpha: points(100) },
      { requiredKeys: [] },
    ),
  })
  .map(({ slot, shade }) => {
    const tidy = tidyShade(shade)
    return tidy ? { slot, shade: tidy } : { slot }
  })

test('what is written is read back', () => {
  fc.assert(
    fc.property(anyDecision, (decision) => {
      expect(readDecision(palette, writeDecision(palette, decision))).toEqual(decision)
    }),
  )
})

test.each([
  ['ink', { slot: 'ink' }],
  [' Brand -10 ', { slot: 'brand', shade: { lightness: -10 } }],
  ['spark+8', { slot: 'spark', shade: { lightness: 8 } }],
  ['PAPER −50a', { slot: 'paper', shade: { alpha: -50 } }],
  ['ink +0', { slot: 'ink' }],
  ['1d5955', { value: '#1d5955' }],
  ['Teal', { value: 'Teal' }],
  ['oklch(60% 0.1 200)', { value: 'oklch(60% 0.1 200)' }],
  ['inky', undefined],
  ['brand ten', undefined],
  ['', undefined],
] as const)('“%s”', (typed, decision) => expect(readDecision(palette, typed)).toEqual(decision))
