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
 * Linear-light sRGB to OKLab. Coefficients: B. Ottosson, "A perceptual color
 * space for image processing" (2020), the revision of 2021-01-25.
 */
export function linearToOklab(r: number, g: number, b: number): Triple {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ]
}

/** Much quicker than the power operator, and this is the innermost step of gamut mapping. */
const cube = (x: number) => x * x * x

/** OKLab to linear-light sRGB; the result may lie outside the gamut. Source as for `linearToOklab`. */
export function oklabToLinear(lightness: number, a: number, b: number): Triple {
  const l = cube(lightness + 0.3963377774 * a + 0.2158037573 * b)
  const m = cube(lightness - 0.1055613458 * a - 0.0638541728 * b)
  const s = cube(lightness - 0.0894841775 * a - 1.291485548 * b)
  return [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ]
}

/** sRGB to OKLab through linear light. */
export function toOklab(color: Color): Oklab {
  const [l, a, b] = linearToOklab(linearize(color.r), linearize(color.g), linearize(color.b))
  return { l, a, b, alpha: color.alpha }
}

/** OKLab to sRGB; the result may lie outside the gamut. */
export function fromOklab({ l, a, b, alpha }: Oklab): Color {
  const [red, green, blue] = oklabToLinear(l, a, b)
  return fromChannels([encode(red), encode(green), encode(blue)], alpha)
}
