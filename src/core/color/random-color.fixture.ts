import fc from 'fast-check'
import type { Color } from './color'
import { colorOf } from './parse'

/** Arbitrary colours for property tests; fast-check prints the seed of a failing run. */
const byte = fc.integer({ min: 0, max: 255 })

export const anyOpaque: fc.Arbitrary<Color> = fc
  .tuple(byte, byte, byte)
  .map(([r, g, b]) => ({ r: r / 255, g: g / 255, b: b / 255, alpha: 1 }))

export const anyColor: fc.Arbitrary<Color> = fc
  .tuple(anyOpaque, byte)
  .map(([color, alpha]) => ({ ...color, alpha: alpha / 255 }))

const part = fc.double({ min: 0, max: 1, noNaN: true })
const per = (value: number, most: number) => (value * most).toFixed(4)

/** Colours as people write them beyond eight bits: wide gamuts, fractions, decimals, see-through ones. */
export const anyNotation: fc.Arbitrary<string> = fc
  .tuple(
    fc.constantFrom('display-p3', 'rec2020', 'oklch', 'hsl', 'srgb'),
    part,
    part,
    part,
    fc.oneof({ weight: 4, arbitrary: fc.constant(1) }, part),
  )
  .map(([space, x, y, z, alpha]) => {
    const over = ` / ${alpha.toFixed(4)}`
    if (space === 'oklch') return `oklch(${per(x, 1)} ${per(y, 0.4)} ${per(z, 360)}${over})`
    if (space === 'hsl') return `hsl(${per(x, 360)} ${per(y, 100)}% ${per(z, 100)}%${over})`
    return `color(${space} ${per(x, 1)} ${per(y, 1)} ${per(z, 1)}${over})`
  })

export const anyWritten: fc.Arbitrary<Color> = anyNotation.map((text) => colorOf(text)!)
