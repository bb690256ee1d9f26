import { fromChannels, type Color, type Triple } from './color'
import { encode, linearize } from './xyz'

/** OKLab: `l` 0…1, `a` and `b` roughly −0.4…0.4. */
export interface Oklab {
  readonly l: number
  readonly a: number
  readonly b: number
  readonly alpha: number
}

/**
 * sRGB to OKLab through linear light. Coefficients: B. Ottosson, "A perceptual
 * color space for image processing" (2020), the revision of 2021-01-25.
 */
export function toOklab(color: Color): Oklab {
  const [r, g, b] = [linearize(color.r), linearize(color.g), linearize(color.b)]
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  return {
    l: 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    a: 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    b: 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
    alpha: color.alpha,
  }
}

/** OKLab to sRGB; the result may lie outside the gamut. Source as for `toOklab`. */
export function fromOklab(lab: Oklab): Color {
  const l = (lab.l + 0.3963377774 * lab.a + 0.2158037573 * lab.b) ** 3
  const m = (lab.l - 0.1055613458 * lab.a - 0.0638541728 * lab.b) ** 3
  const s = (lab.l - 0.0894841775 * lab.a - 1.291485548 * lab.b) ** 3
  const linear: Triple = [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ]
  return fromChannels([encode(linear[0]), encode(linear[1]), encode(linear[2])], lab.alpha)
}
