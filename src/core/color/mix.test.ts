import { interpolate, rgb } from 'culori'
import fc from 'fast-check'
import { colorOf, fromBytes, toOklch, type Color } from './index'
import { mix, mixSpaces } from './mix'

const color: fc.Arbitrary<Color> = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255), fc.constantFrom(1, 0.5, 0.2))
  .map(([r, g, b, alpha]) => ({ ...fromBytes([r, g, b]), alpha }))

const MODES = { srgb: 'rgb', oklab: 'oklab', oklch: 'oklch' } as const
const isHueless = (each: Color) => toOklch(each).c < 0.021

/** Reference: culori 4, `interpolate`, on opaque colours (it does not premultiply). */
test.each(mixSpaces)('opaque colours mix in %s as the reference library has it', (space) => {
  fc.assert(
    fc.property(color, color, fc.double({ min: 0, max: 1, noNaN: true }), (one, two, at) => {
      const [from, to] = [
        { ...one, alpha: 1 },
        { ...two, alpha: 1 },
      ]
      // Near grey, a hue is what rounding makes of it.
      fc.pre(space !== 'oklch' || !(isHueless(from) || isHueless(to)))
      const ends = [from, to].map(({ r, g, b }) => ({ mode: 'rgb' as const, r, g, b }))
      const expected = rgb(interpolate(ends, MODES[space])(at))
      const made = mix(from, to, at, space)
      const clip = (value: number) => Math.min(1, Math.max(0, value))
      expect(made.r).toBeCloseTo(clip(expected.r), 2)
      expect(made.g).toBeCloseTo(clip(expected.g), 2)
      expect(made.b).toBeCloseTo(clip(expected.b), 2)
    }),
  )
})

test.each(mixSpaces)(
  'both ends are the colours themselves, and fading keeps the colour: %s',
  (space) => {
    fc.assert(
      fc.property(color, color, (from, to) => {
        // A colour without a hue takes that of the other, at its very end as well.
        fc.pre(space !== 'oklch' || !(isHueless(from) || isHueless(to)))
        for (const [at, end] of [
          [0, from],
          [1, to],
        ] as const) {
          const made = mix(from, to, at, space)
          expect(made.r).toBeCloseTo(end.r, 3)
          expect(made.alpha).toBeCloseTo(end.alpha, 6)
        }
        const half = mix(from, { ...to, alpha: 0 }, 0.5, space)
        expect(half.alpha).toBeCloseTo(from.alpha / 2, 6)
        if (space !== 'oklch') expect(half.g).toBeCloseTo(from.g, 3)
      }),
    )
  },
)

test('half way from blue to yellow is grey in sRGB and not in OKLCH', () => {
  const [blue, yellow] = [colorOf('#0000ff')!, colorOf('#ffff00')!]
  expect(mix(blue, yellow, 0.5, 'srgb')).toMatchObject({ r: 0.5, g: 0.5, b: 0.5 })
  const round = mix(blue, yellow, 0.5, 'oklch')
  expect(Math.abs(round.r - round.g) + Math.abs(round.g - round.b)).toBeGreaterThan(0.3)
})
