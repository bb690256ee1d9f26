import fc from 'fast-check'
import type { Color } from './color'

/** Arbitrary colours for property tests; fast-check prints the seed of a failing run. */
const byte = fc.integer({ min: 0, max: 255 })

export const anyOpaque: fc.Arbitrary<Color> = fc
  .tuple(byte, byte, byte)
  .map(([r, g, b]) => ({ r: r / 255, g: g / 255, b: b / 255, alpha: 1 }))

export const anyColor: fc.Arbitrary<Color> = fc
  .tuple(anyOpaque, byte)
  .map(([color, alpha]) => ({ ...color, alpha: alpha / 255 }))
