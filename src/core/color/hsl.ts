import { fromChannels, type Color } from './color'
import { turn } from './oklch'

/** HSL: `h` in degrees 0…360, `s` and `l` in per cent 0…100. */
export interface Hsl {
  readonly h: number
  readonly s: number
  readonly l: number
  readonly alpha: number
}

/** HWB: `h` in degrees 0…360, `w` (whiteness) and `b` (blackness) in per cent 0…100. */
export interface Hwb {
  readonly h: number
  readonly w: number
  readonly b: number
  readonly alpha: number
}

function hueOf({ r, g, b }: Color): number {
  const max = Math.max(r, g, b)
  const span = max - Math.min(r, g, b)
  if (span === 0) return 0
  if (max === r) return turn(((g - b) / span) * 60)
  if (max === g) return ((b - r) / span + 2) * 60
  return ((r - g) / span + 4) * 60
}

/** sRGB to HSL, CSS Color 4 §7.2. Meant for colours within the gamut. */
export function toHsl(color: Color): Hsl {
  const max = Math.max(color.r, color.g, color.b)
  const min = Math.min(color.r, color.g, color.b)
  const l = (max + min) / 2
  const s = l <= 0 || l >= 1 ? 0 : (max - l) / Math.min(l, 1 - l)
  return { h: hueOf(color), s: s * 100, l: l * 100, alpha: color.alpha }
}

/** HSL to sRGB, CSS Color 4 §7.1. */
export function fromHsl({ h, s, l, alpha }: Hsl): Color {
  const [sat, light] = [s / 100, l / 100]
  const channel = (n: number) => {
    const k = (n + turn(h) / 30) % 12
    return light - sat * Math.min(light, 1 - light) * Math.max(-1, Math.min(k - 3, 9 - k, 1))
  }
  return fromChannels([channel(0), channel(8), channel(4)], alpha)
}

/** sRGB to HWB, CSS Color 4 §8.2. Meant for colours within the gamut. */
export function toHwb(color: Color): Hwb {
  const white = Math.min(color.r, color.g, color.b)
  const black = 1 - Math.max(color.r, color.g, color.b)
  return { h: hueOf(color), w: white * 100, b: black * 100, alpha: color.alpha }
}

/** HWB to sRGB, CSS Color 4 §8.1: whiteness and blackness that pass 100 % together leave a grey. */
export function fromHwb({ h, w, b, alpha }: Hwb): Color {
  const [white, black] = [w / 100, b / 100]
  if (white + black >= 1) {
    const grey = white / (white + black)
    return fromChannels([grey, grey, grey], alpha)
  }
  const pure = fromHsl({ h, s: 100, l: 50, alpha })
  const mix = (c: number) => c * (1 - white - black) + white
  return fromChannels([mix(pure.r), mix(pure.g), mix(pure.b)], alpha)
}
