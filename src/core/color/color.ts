/**
 * One colour, the way every part of the core passes it on: gamma-encoded sRGB.
 * Channels are 0…1; a colour outside the sRGB gamut keeps channels below 0 or
 * above 1 until it is mapped. Alpha is 0…1.
 */
export interface Color {
  readonly r: number
  readonly g: number
  readonly b: number
  readonly alpha: number
}

export type Triple = readonly [number, number, number]

export const black: Color = { r: 0, g: 0, b: 0, alpha: 1 }
export const white: Color = { r: 1, g: 1, b: 1, alpha: 1 }

export function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value))
}

export function channels(color: Color): Triple {
  return [color.r, color.g, color.b]
}

export function fromChannels([r, g, b]: Triple, alpha = 1): Color {
  return { r, g, b, alpha }
}

/** Whether every channel lies within sRGB, allowing for rounding in the conversions. */
export function inGamut(color: Color, tolerance = 1e-4): boolean {
  return channels(color).every((c) => c >= -tolerance && c <= 1 + tolerance)
}

/** The nearest 8-bit channels, as Chromium paints them: integers 0…255. */
export function toBytes(color: Color): Triple {
  const byte = (c: number) => Math.round(clamp(c, 0, 1) * 255)
  return [byte(color.r), byte(color.g), byte(color.b)]
}

/** From 8-bit channels, integers 0…255. */
export function fromBytes([r, g, b]: Triple, alpha = 1): Color {
  return fromChannels([r / 255, g / 255, b / 255], alpha)
}

/** Two colours are alike when they paint the same 8-bit channels and the same alpha to 1/255. */
export function sameColor(a: Color, b: Color): boolean {
  return colorKey(a) === colorKey(b)
}

/** A key under which all notations of one painted colour meet: `rrggbbaa` in hex. */
export function colorKey(color: Color): string {
  const bytes = [...toBytes(color), Math.round(clamp(color.alpha, 0, 1) * 255)]
  return bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** A key of the colour alone, whatever its alpha: `rrggbb` in hex. */
export const opaqueKey = (color: Color): string => colorKey(color).slice(0, 6)

/** The colour of a key, as far as a key tells it: 8 bits a channel. */
export function colorOfKey(key: string): Color {
  const byte = (at: number) => parseInt(key.slice(at, at + 2), 16)
  return fromBytes([byte(0), byte(2), byte(4)], byte(6) / 255)
}

/**
 * What is seen when `top` lies over `below` (simple alpha compositing in
 * gamma-encoded sRGB, as browsers do; Compositing and Blending Level 1, §5.1).
 */
export function over(top: Color, below: Color): Color {
  const alpha = top.alpha + below.alpha * (1 - top.alpha)
  if (alpha === 0) return { ...top, alpha: 0 }
  const mix = (t: number, b: number) => (t * top.alpha + b * below.alpha * (1 - top.alpha)) / alpha
  return {
    r: mix(top.r, below.r),
    g: mix(top.g, below.g),
    b: mix(top.b, below.b),
    alpha,
  }
}

/**
 * The colour between two, `at` 0…1 of the way, as browsers paint a gradient:
 * gamma-encoded sRGB, premultiplied by alpha (CSS Images 3, §3.4.2).
 */
export function between(from: Color, to: Color, at: number): Color {
  const alpha = from.alpha + (to.alpha - from.alpha) * at
  if (alpha === 0) return { ...from, alpha: 0 }
  const mix = (a: number, b: number) => (a * from.alpha * (1 - at) + b * to.alpha * at) / alpha
  return { r: mix(from.r, to.r), g: mix(from.g, to.g), b: mix(from.b, to.b), alpha }
}
