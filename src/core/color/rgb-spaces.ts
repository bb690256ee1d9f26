import type { Triple } from './color'
import { invert, multiply, type Matrix } from './matrix'
import { D50_TO_D65, encode, linearize, srgbToXyz, srgbToXyzD50, xyzToSrgb } from './xyz'

interface RgbSpace {
  /** One channel from its encoded to its linear-light value. */
  readonly decode: (c: number) => number
  /** The inverse of it. */
  readonly encode: (c: number) => number
  /** Linear light to CIE XYZ under the space's own white. */
  readonly toXyz: Matrix
  readonly white: 'D65' | 'D50'
}

const power = (exponent: number) => (c: number) => Math.sign(c) * Math.abs(c) ** exponent

const ALPHA = 1.09929682680944
const BETA = 0.018053968510807

const DISPLAY_P3: Matrix = [
  [608311 / 1250200, 189793 / 714400, 198249 / 1000160],
  [35783 / 156275, 247089 / 357200, 198249 / 2500400],
  [0, 32229 / 714400, 5220557 / 5000800],
]

/** The predefined RGB spaces of `color()`; transfer functions and matrices: CSS Color 4 §10 and §18. */
const SPACES = {
  'display-p3': { decode: linearize, encode, toXyz: DISPLAY_P3, white: 'D65' },
  'display-p3-linear': { decode: (c) => c, encode: (c) => c, toXyz: DISPLAY_P3, white: 'D65' },
  'a98-rgb': {
    decode: power(563 / 256),
    encode: power(256 / 563),
    toXyz: [
      [573536 / 994567, 263643 / 1420810, 187206 / 994567],
      [591459 / 1989134, 6239551 / 9945670, 374412 / 4972835],
      [53769 / 1989134, 351524 / 4972835, 4929758 / 4972835],
    ],
    white: 'D65',
  },
  'prophoto-rgb': {
    decode: (c) => (Math.abs(c) <= 16 / 512 ? c / 16 : power(1.8)(c)),
    encode: (c) => (Math.abs(c) <= 1 / 512 ? c * 16 : power(1 / 1.8)(c)),
    toXyz: [
      [0.7977666449006423, 0.13518129740053308, 0.0313477341283922],
      [0.2880748288194013, 0.711835234241873, 0.00008993693872564],
      [0, 0, 0.8251046025104602],
    ],
    white: 'D50',
  },
  rec2020: {
    // The transfer function of ITU-R BT.2020, as Chromium 156 paints it. The draft of CSS
    // Color 4 of 2025 has a plain power of 2.4 instead; we follow what browsers show.
    decode: (c) =>
      Math.abs(c) < BETA * 4.5
        ? c / 4.5
        : Math.sign(c) * ((Math.abs(c) + ALPHA - 1) / ALPHA) ** (1 / 0.45),
    encode: (c) =>
      Math.abs(c) < BETA ? c * 4.5 : Math.sign(c) * (ALPHA * Math.abs(c) ** 0.45 - ALPHA + 1),
    toXyz: [
      [63426534 / 99577255, 20160776 / 139408157, 47086771 / 278816314],
      [26158966 / 99577255, 472592308 / 697040785, 8267143 / 139408157],
      [0, 19567812 / 697040785, 295819943 / 278816314],
    ],
    white: 'D65',
  },
} satisfies Record<string, RgbSpace>

export type RgbSpaceName = keyof typeof SPACES

export function isRgbSpace(name: string): name is RgbSpaceName {
  return Object.hasOwn(SPACES, name)
}

export function rgbSpaceToSrgb(name: RgbSpaceName, [r, g, b]: Triple): Triple {
  const space: RgbSpace = SPACES[name]
  const xyz = multiply(space.toXyz, [space.decode(r), space.decode(g), space.decode(b)])
  return xyzToSrgb(space.white === 'D50' ? multiply(D50_TO_D65, xyz) : xyz)
}

export function linearSrgbToSrgb([r, g, b]: Triple): Triple {
  return [encode(r), encode(g), encode(b)]
}

const FROM_XYZ = Object.fromEntries(
  Object.entries(SPACES).map(([name, { toXyz }]) => [name, invert(toXyz)]),
) as Record<RgbSpaceName, Matrix>

export function rgbSpaceFromSrgb(name: RgbSpaceName, srgb: Triple): Triple {
  const space: RgbSpace = SPACES[name]
  const xyz = space.white === 'D50' ? srgbToXyzD50(srgb) : srgbToXyz(srgb)
  const [r, g, b] = multiply(FROM_XYZ[name], xyz)
  return [space.encode(r), space.encode(g), space.encode(b)]
}

export function srgbToLinear([r, g, b]: Triple): Triple {
  return [linearize(r), linearize(g), linearize(b)]
}
