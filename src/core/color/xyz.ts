import type { Triple } from './color'
import { invert, multiply, type Matrix } from './matrix'

/** sRGB decoding, CSS Color 4 §10.2; keeps the sign for values out of gamut. */
export function linearize(c: number): number {
  const size = Math.abs(c)
  return size <= 0.04045 ? c / 12.92 : Math.sign(c) * ((size + 0.055) / 1.055) ** 2.4
}

/** sRGB encoding, the inverse of `linearize`. */
export function encode(c: number): number {
  const size = Math.abs(c)
  return size <= 0.0031308 ? c * 12.92 : Math.sign(c) * (1.055 * size ** (1 / 2.4) - 0.055)
}

/** Linear sRGB to CIE XYZ, D65; CSS Color 4 §18, sample code. */
const SRGB_TO_XYZ: Matrix = [
  [506752 / 1228815, 87881 / 245763, 12673 / 70218],
  [87098 / 409605, 175762 / 245763, 12673 / 175545],
  [7918 / 409605, 87881 / 737289, 1001167 / 1053270],
]
const XYZ_TO_SRGB = invert(SRGB_TO_XYZ)

/** D65 to D50, Bradford; CSS Color 4 §18, sample code. */
export const D65_TO_D50: Matrix = [
  [1.0479297925449969, 0.022946870601609652, -0.05019226628920524],
  [0.02962780877005599, 0.9904344267538799, -0.017073799063418826],
  [-0.009243040646204504, 0.015055191490298152, 0.7518742814281371],
]
export const D50_TO_D65 = invert(D65_TO_D50)

export function srgbToXyz(rgb: Triple): Triple {
  return multiply(SRGB_TO_XYZ, [linearize(rgb[0]), linearize(rgb[1]), linearize(rgb[2])])
}

/** The same under D50. */
export function srgbToXyzD50(rgb: Triple): Triple {
  return multiply(D65_TO_D50, srgbToXyz(rgb))
}

export function xyzToSrgb(xyz: Triple): Triple {
  const [r, g, b] = multiply(XYZ_TO_SRGB, xyz)
  return [encode(r), encode(g), encode(b)]
}
