import { fromOklab, mapToGamut, toOklab, type Color } from '../color'

/** How a whole palette is moved, each −100…100; 0 leaves it. */
export interface PaletteShift {
  /** Lighter above 0, darker below. */
  readonly light: number
  /** More vivid above 0, less below; −100 is grey. */
  readonly vivid: number
  /** Warmer above 0, cooler below. */
  readonly warm: number
}

export const unshifted: PaletteShift = { light: 0, vivid: 0, warm: 0 }

/** How far the ends go, in OKLab: lightness of a middle tone, and along the axis from blue to yellow. */
const [LIGHT, WARM] = [0.22, 0.06]

/**
 * A colour as it is once its palette is moved, within sRGB, as opaque as before.
 * Lightness moves most in the middle and hardly at the ends, 4·L·(1−L), so that
 * paper stays paper and ink stays ink; chroma is scaled; warmth moves along
 * OKLab’s axes from blue to yellow and a little from green to red. OKLab:
 * B. Ottosson, 2020; the amounts are common practice, no source.
 */
export function shiftColor(color: Color, { light, vivid, warm }: PaletteShift): Color {
  const { l, a, b, alpha } = toOklab(color)
  const middle = 4 * l * (1 - l)
  const chroma = vivid < 0 ? 1 + vivid / 100 : 1 + vivid / 80
  return mapToGamut(
    fromOklab({
      l: Math.min(1, Math.max(0, l + (light / 100) * LIGHT * middle)),
      a: a * chroma + (warm / 100) * WARM * 0.25 * middle,
      b: b * chroma + (warm / 100) * WARM * middle,
      alpha,
    }),
  )
}
