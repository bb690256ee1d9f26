import { channels, toBytes, type Color } from './color'
import { mapToGamut } from './gamut'
import { toHsl, toHwb } from './hsl'
import { toOklch } from './oklch'

const trim = (value: number, digits: number) => String(Number(value.toFixed(digits)))
const hexPair = (byte: number) => byte.toString(16).padStart(2, '0')

/** Alpha as CSS serialises it: two decimals where they survive a round trip through 8 bits, else three. */
export function writeAlpha(alpha: number): string {
  const byte = Math.round(alpha * 255)
  const short = Number(alpha.toFixed(2))
  return Math.round(short * 255) === byte ? String(short) : trim(byte / 255, 3)
}

/** `#rrggbb`, or `#rrggbbaa` when not opaque; mapped into the gamut first. */
export function writeHex(color: Color): string {
  const hex = `#${toBytes(mapToGamut(color)).map(hexPair).join('')}`
  return color.alpha >= 1 ? hex : hex + hexPair(Math.round(color.alpha * 255))
}

/** `#rgb` or `#rgba` where each pair of digits repeats; undefined where the short form would be another colour. */
export function writeShortHex(color: Color): string | undefined {
  const long = writeHex(color)
  return /^#(?:([\da-f])\1)+$/.test(long) ? `#${long.slice(1).replace(/(.)\1/g, '$1')}` : undefined
}

const withAlpha = (inside: string, alpha: number) =>
  alpha >= 1 ? inside : `${inside} / ${writeAlpha(alpha)}`

/** The writers by notation. All but `oklch` map into the sRGB gamut. */
export const writers = {
  hex: writeHex,
  rgb: (color: Color) => `rgb(${withAlpha(toBytes(mapToGamut(color)).join(' '), color.alpha)})`,
  hsl: (color: Color) => {
    const { h, s, l } = toHsl(mapToGamut(color))
    return `hsl(${withAlpha(`${trim(h, 2)} ${trim(s, 2)}% ${trim(l, 2)}%`, color.alpha)})`
  },
  hwb: (color: Color) => {
    const { h, w, b } = toHwb(mapToGamut(color))
    return `hwb(${withAlpha(`${trim(h, 2)} ${trim(w, 2)}% ${trim(b, 2)}%`, color.alpha)})`
  },
  oklch: (color: Color) => {
    const { l, c, h } = toOklch(color)
    return `oklch(${withAlpha(`${trim(l, 5)} ${trim(c, 5)} ${trim(h, 3)}`, color.alpha)})`
  },
} satisfies Record<string, (color: Color) => string>

export type WritableNotation = keyof typeof writers

export function writeColor(color: Color, notation: WritableNotation): string {
  return writers[notation](color)
}

/** Whether the colour needed mapping to be shown in sRGB. */
export function isOutOfGamut(color: Color): boolean {
  return channels(color).some((c) => c < -1e-4 || c > 1.0001)
}
