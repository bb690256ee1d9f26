import type { Color, Triple } from './color'
import { channels } from './color'
import { multiply } from './matrix'
import { D50_TO_D65, srgbToXyzD50, xyzToSrgb } from './xyz'

/** CIE Lab with the D50 white of CSS: `l` 0…100, `a` and `b` roughly −125…125. */
export type Lab = Triple

const D50: Triple = [0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585]
const EPSILON = 216 / 24389
const KAPPA = 24389 / 27

/** XYZ (D50) to Lab; CSS Color 4 §18, sample code (CIE 15). */
export function xyzToLab(xyz: Triple): Lab {
  const f = xyz.map((value, i) => {
    const t = value / D50[i]!
    return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116
  }) as unknown as Triple
  return [116 * f[1] - 16, 500 * (f[0] - f[1]), 200 * (f[1] - f[2])]
}

/** Lab to XYZ (D50), the inverse of `xyzToLab`. */
export function labToXyz([l, a, b]: Lab): Triple {
  const fy = (l + 16) / 116
  const [fx, fz] = [a / 500 + fy, fy - b / 200]
  const axis = (f: number) => (f ** 3 > EPSILON ? f ** 3 : (116 * f - 16) / KAPPA)
  const y = l > KAPPA * EPSILON ? fy ** 3 : l / KAPPA
  return [axis(fx) * D50[0], y * D50[1], axis(fz) * D50[2]]
}

export function toLab(color: Color): Lab {
  return xyzToLab(srgbToXyzD50(channels(color)))
}

/** CIE lightness L*, 0…100. */
export const lightness = (color: Color): number => toLab(color)[0]

export function labToSrgb(lab: Lab): Triple {
  return xyzToSrgb(multiply(D50_TO_D65, labToXyz(lab)))
}
