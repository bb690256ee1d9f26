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
import { writeColor, type WritableNotation } from './write'

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
})

/** CSS Color 4, the examples of §7 to §9, from memory. */
describe('published values', () => {
  test.each([
    ['oklab(40.101% 0.1147 0.0453)', '#7d2329'],
    ['oklab(59.686% 0.1009 0.1192)', '#c65d07'],
    ['oklab(0.65125 -0.0320 0.1274)', '#9d9318'],
    ['oklab(66.016% -0.1084 0.1114)', '#68a639'],
    ['oklab(72.322% -0.0465 -0.1150)', '#62acef'],
    ['oklch(40.101% 0.12332 21.555)', '#7d2329'],
    ['oklch(59.686% 0.15619 49.7694)', '#c65d07'],
    ['oklch(0.65125 0.13138 104.097)', '#9d9318'],
    ['oklch(0.66016 0.15546 134.231)', '#68a639'],
    ['oklch(72.322% 0.12403 247.996)', '#62acef'],
    ['hwb(150 20% 10%)', '#33e68c'],
    ['hsl(120deg 100% 25%)', '#008000'],
    ['lab(29.2345% 39.3825 20.0664)', '#7d2329'],
    ['lch(52.2345% 72.2 56.2)', '#c65d07'],
  ])('%s is %s', (text, hex) => {
    // The published numbers are rounded, so a channel may be one off.
    const bytes = toBytes(colorOf(hex)!)
    toBytes(colorOf(text)!).forEach((byte, i) =>
      expect(Math.abs(byte - bytes[i]!)).toBeLessThanOrEqual(1),
    )
  })
})
