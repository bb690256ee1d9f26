import type { Color } from './color'
import { fromOklab, toOklab } from './oklab'

/** OKLCH: `l` 0…1, `c` 0…about 0.4, `h` in degrees 0…360; `h` is 0 for greys. */
export interface Oklch {
  readonly l: number
  readonly c: number
  readonly h: number
  readonly alpha: number
}

/** Below this chroma a hue is noise: 8-bit greys come out at up to 0.00004. */
const ACHROMATIC = 1e-4

export function turn(degrees: number): number {
  return ((degrees % 360) + 360) % 360
}

/** sRGB to OKLCH, the polar form of OKLab (CSS Color 4 §9.4). */
export function toOklch(color: Color): Oklch {
  const { l, a, b, alpha } = toOklab(color)
  const c = Math.hypot(a, b)
  if (c < ACHROMATIC) return { l, c: 0, h: 0, alpha }
  return { l, c, h: turn((Math.atan2(b, a) * 180) / Math.PI), alpha }
}

/** OKLCH to sRGB; the result may lie outside the gamut. */
export function fromOklch({ l, c, h, alpha }: Oklch): Color {
  const angle = (h * Math.PI) / 180
  return fromOklab({ l, a: c * Math.cos(angle), b: c * Math.sin(angle), alpha })
}
