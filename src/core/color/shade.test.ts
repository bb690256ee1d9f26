import fc from 'fast-check'
import { inGamut } from './color'
import { toOklch } from './oklch'
import { colorOf } from './parse'
import { anyColor } from './random-color.fixture'
import { applyShade, shadeToken, tidyShade, writeShade, type Shade } from './shade'

const anyShade: fc.Arbitrary<Shade> = fc.record({
  lightness: fc.integer({ min: -100, max: 100 }),
  saturation: fc.integer({ min: -100, max: 100 }),
  hue: fc.integer({ min: -180, max: 180 }),
  alpha: fc.integer({ min: -100, max: 100 }),
})

test('every shade of every colour lies within sRGB', () => {
  fc.assert(
    fc.property(anyColor, anyShade, (color, shade) => {
      const shaded = applyShade(color, shade)
      expect(inGamut(shaded)).toBe(true)
      expect(shaded.alpha).toBeGreaterThanOrEqual(0)
      expect(shaded.alpha).toBeLessThanOrEqual(1)
    }),
  )
})

test('half transparent is an alpha offset of −50 (common practice, no source)', () => {
  expect(applyShade(colorOf('#1d5955')!, { alpha: -50 }).alpha).toBeCloseTo(0.5, 10)
})

test('zero saturation leaves a grey (common practice, no source)', () => {
  expect(toOklch(applyShade(colorOf('#d65a2a')!, { saturation: -100 })).c).toBe(0)
})

test('a darker shade keeps its hue', () => {
  const [base, darker] = ['#1d5955', '#1d5955'].map((text, i) =>
    toOklch(applyShade(colorOf(text)!, i ? { lightness: -10 } : undefined)),
  )
  expect(darker!.l).toBeCloseTo(base!.l - 0.1, 1)
  expect(Math.abs(darker!.h - base!.h)).toBeLessThan(4)
})

test('one shade has one form, one name and one word', () => {
  expect(tidyShade({ lightness: 0, alpha: 0 })).toBeUndefined()
  expect(tidyShade({ lightness: 8, alpha: 0 })).toEqual({ lightness: 8 })
  expect(shadeToken({ lightness: 8 })).toBe('lighter-8')
  expect(shadeToken({ lightness: -10, alpha: -50 })).toBe('darker-10-alpha-m50')
  expect(writeShade({ lightness: -10, hue: 20 })).toBe('−10 +20°')
})
