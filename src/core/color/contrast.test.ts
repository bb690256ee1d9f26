import fc from 'fast-check'
import wcagContrast from 'wcag-contrast'
import { black, toBytes, white } from './color'
import { contrast, luminance, writeRatio } from './contrast'
import { colorOf } from './parse'
import { anyColor, anyOpaque } from './random-color.fixture'

const of = (text: string) => colorOf(text)!

test('WCAG 2.2 definition: black on white is 21, a colour on itself is 1', () => {
  expect(contrast(black, white)).toBeCloseTo(21, 10)
  expect(contrast(of('#d65a2a'), of('#d65a2a'))).toBe(1)
  expect(luminance(white)).toBeCloseTo(1, 10)
  expect(luminance(black)).toBe(0)
})

test('the greys on either side of 4.5:1 on white', () => {
  // WCAG 2.2, Understanding 1.4.3: #767676 passes, #777777 does not (4.54 and 4.48).
  expect(writeRatio(contrast(of('#767676'), white))).toBe('4.5')
  expect(writeRatio(contrast(of('#777777'), white))).toBe('4.4')
})

test('agrees with wcag-contrast 3 over random pairs', () => {
  fc.assert(
    fc.property(anyOpaque, anyOpaque, (a, b) => {
      const [first, second] = [toBytes(a), toBytes(b)].map(
        (c) => [...c] as [number, number, number],
      )
      expect(contrast(a, b)).toBeCloseTo(wcagContrast.rgb(first!, second!), 8)
    }),
    { numRuns: 2000 },
  )
})

test('a colour that can be seen through counts as what is seen', () => {
  fc.assert(
    fc.property(anyColor, anyOpaque, (top, ground) => {
      const ratio = contrast(top, ground)
      expect(ratio).toBeGreaterThanOrEqual(1)
      expect(ratio).toBeLessThanOrEqual(21)
    }),
  )
  expect(contrast({ ...black, alpha: 0 }, white)).toBe(1)
})

test('a ratio is cut, never rounded up to a pass', () => {
  expect(writeRatio(4.4999)).toBe('4.4')
  expect(writeRatio(4.5)).toBe('4.5')
})
