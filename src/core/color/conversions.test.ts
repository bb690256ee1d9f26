import * as culori from 'culori'
import fc from 'fast-check'
import { colorKey, inGamut, toBytes } from './color'
import { mapToGamut } from './gamut'
import { fromHsl, fromHwb, toHsl, toHwb } from './hsl'
import { labToSrgb, toLab } from './lab'
import { fromOklab, toOklab } from './oklab'
import { fromOklch, toOklch } from './oklch'
import { colorOf } from './parse'
import { anyColor, anyOpaque } from './random-color.fixture'
import { writeColor, writeLegacyRgb, type WritableNotation } from './write'

describe('conversions against culori', () => {
  test('OKLab, HSL, HWB and Lab (D50)', () => {
    fc.assert(
      fc.property(anyOpaque, (color) => {
        const source = { mode: 'rgb' as const, ...color }
        const lab = culori.oklab(source)
        const ours = toOklab(color)
        expect(ours.l).toBeCloseTo(lab.l, 6)
        expect(ours.a).toBeCloseTo(lab.a, 6)
        expect(ours.b).toBeCloseTo(lab.b, 6)
        const hsl = culori.hsl(source)
        expect(toHsl(color).s).toBeCloseTo(hsl.s * 100, 6)
        expect(toHsl(color).l).toBeCloseTo(hsl.l * 100, 6)
        expect(toHsl(color).h).toBeCloseTo(hsl.h ?? 0, 6)
        const hwb = culori.hwb(source)
        expect(toHwb(color).w).toBeCloseTo(hwb.w * 100, 6)
        expect(toHwb(color).b).toBeCloseTo(hwb.b * 100, 6)
        const lab50 = culori.lab(source)
        expect(toLab(color)[0]).toBeCloseTo(lab50.l, 2)
        expect(toLab(color)[1]).toBeCloseTo(lab50.a, 2)
      }),
    )
  })

  test('every conversion leads back', () => {
    fc.assert(
      fc.property(anyOpaque, (color) => {
        const lab = labToSrgb(toLab(color))
        const ways = [
          fromOklab(toOklab(color)),
          fromOklch(toOklch(color)),
          fromHsl(toHsl(color)),
          fromHwb(toHwb(color)),
          { r: lab[0], g: lab[1], b: lab[2], alpha: 1 },
        ]
        for (const back of ways) expect(toBytes(back)).toEqual(toBytes(color))
      }),
    )
  })
})

describe('mapping into the gamut', () => {
  const wide = fc
    .tuple(
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 0.5, noNaN: true }),
      fc.nat(359),
    )
    .map(([l, c, h]) => fromOklch({ l, c, h, alpha: 1 }))

  test('always ends inside, near the same lightness', () => {
    fc.assert(
      fc.property(wide, (color) => {
        const mapped = mapToGamut(color)
        expect(inGamut(mapped, 1e-9)).toBe(true)
        expect(Math.abs(toOklab(mapped).l - toOklab(color).l)).toBeLessThan(0.05)
      }),
    )
  })

  test('leaves what is inside untouched', () => {
    fc.assert(fc.property(anyColor, (color) => expect(mapToGamut(color)).toBe(color)))
  })
})

describe('writing', () => {
  const notations: WritableNotation[] = ['hex', 'rgb', 'hsl', 'hwb', 'oklch']

  test.each(notations)('%s reads back as the same colour', (notation) => {
    fc.assert(
      fc.property(anyColor, (color) => {
        expect(colorKey(colorOf(writeColor(color, notation))!)).toBe(colorKey(color))
      }),
      { numRuns: 500 },
    )
  })

  test('the form with commas too', () => {
    fc.assert(
      fc.property(anyColor, (color) => {
        expect(colorKey(colorOf(writeLegacyRgb(color))!)).toBe(colorKey(color))
      }),
    )
  })
})
