import { color as readColor, ColorNotation, SyntaxFlag } from '@csstools/css-color-parser'
import { parseComponentValue } from '@csstools/css-parser-algorithms'
import { tokenize } from '@csstools/css-tokenizer'
import { clamp, fromBytes, fromChannels, type Color, type Triple } from './color'
import { fromHsl, fromHwb } from './hsl'
import { labToSrgb } from './lab'
import { multiply } from './matrix'
import { fromOklab } from './oklab'
import { fromOklch } from './oklch'
import { isRgbSpace, linearSrgbToSrgb, rgbSpaceToSrgb } from './rgb-spaces'
import { D50_TO_D65, xyzToSrgb } from './xyz'

/** The families of notation that can be read; `color` is every `color(…)` function. */
export type Notation =
  'hex' | 'named' | 'rgb' | 'hsl' | 'hwb' | 'lab' | 'lch' | 'oklab' | 'oklch' | 'color' | 'mixed'

export type ColorProblem = 'empty' | 'too-long' | 'hex-length' | 'hex-digit' | 'not-a-color'

export type ParsedColor =
  | { readonly ok: true; readonly color: Color; readonly notation: Notation }
  | { readonly ok: false; readonly problem: ColorProblem }

const LONGEST = 200
const CACHE_SIZE = 5000
const cache = new Map<string, ParsedColor>()

/**
 * Reads one CSS colour in any notation of CSS Color 4, and of CSS Color 5 the
 * relative colours and `color-mix()`. Blanks around it, letter case and a
 * missing `#` before 3, 4, 6 or 8 hex digits do not matter. What depends on
 * its surroundings (`currentColor`, system colours, `var()`) is not a colour here.
 * Returns a problem code for anything else; never throws.
 */
export function parseColor(text: string): ParsedColor {
  const known = cache.get(text)
  if (known) return known
  if (cache.size >= CACHE_SIZE) cache.clear()
  const result = readText(withoutBlanks(text))
  if (text.length <= LONGEST) cache.set(text, result)
  return result
}

/** The colour, or undefined: for values that are known to have been checked. */
export function colorOf(text: string): Color | undefined {
  const result = parseColor(text)
  return result.ok ? result.color : undefined
}

function readText(text: string): ParsedColor {
  if (text === '') return { ok: false, problem: 'empty' }
  if (text.length > LONGEST) return { ok: false, problem: 'too-long' }
  const css = isBareHex(text) ? `#${text}` : text
  const hex = readHex(css)
  if (hex) return { ok: true, color: hex, notation: 'hex' }
  const value = parseComponentValue(tokenize({ css }))
  const data = value && readColor(value)
  if (!data || data.syntaxFlags.has(SyntaxFlag.Experimental) || typeof data.alpha !== 'number') {
    return { ok: false, problem: problemOf(css) }
  }
  const [a, b, c] = data.channels.map((n) => (Number.isNaN(n) ? 0 : n)) as unknown as Triple
  const alpha = Number.isNaN(data.alpha) ? 0 : clamp(data.alpha, 0, 1)
  const { colorNotation, syntaxFlags } = data
  const relative = syntaxFlags.has(SyntaxFlag.RelativeColorSyntax)
  // A relative colour keeps what passes the ends of its notation (CSS Color 5 §4.1).
  const numbers = relative ? ([a, b, c] as Triple) : withinNotation(colorNotation, [a, b, c])
  return {
    ok: true,
    color: toSrgb(colorNotation, numbers, alpha),
    notation: notationOf(colorNotation, syntaxFlags),
  }
}

/** Blanks and comments around a value mean nothing (CSS Syntax 3 §4). */
function withoutBlanks(text: string): string {
  const plain = text.trim()
  if (!plain.includes('/*') || plain.length > LONGEST) return plain
  return plain
    .replace(/^(?:\s|\/\*[^]*?\*\/)+/, '')
    .replace(/(?:\s|\/\*(?:[^*]|\*(?!\/))*\*\/)+$/, '')
}

function isBareHex(text: string): boolean {
  return /^(?:[\da-f]{3,4}|[\da-f]{6}|[\da-f]{8})$/i.test(text)
}

/** Hex is what is written most: read without the tokenizer. */
function readHex(css: string): Color | undefined {
  if (!/^#(?:[\da-f]{6}|[\da-f]{8})$/i.test(css)) return undefined
  const byte = (at: number) => Number.parseInt(css.slice(at, at + 2), 16)
  return fromBytes([byte(1), byte(3), byte(5)], css.length === 9 ? byte(7) / 255 : 1)
}

function problemOf(css: string): ColorProblem {
  if (!css.startsWith('#')) return 'not-a-color'
  return /^#[\da-f]*$/i.test(css) ? 'hex-length' : 'hex-digit'
}

/** Channels that a notation cuts off at its ends, as Chromium does when it reads: rgb() at 0 and 255, hsl() at 100 %. */
function withinNotation(notation: ColorNotation, [x, y, z]: Triple): Triple {
  if (notation === ColorNotation.RGB) return [clamp(x, 0, 1), clamp(y, 0, 1), clamp(z, 0, 1)]
  if (notation === ColorNotation.HSL) return [x, clamp(y, 0, 100), clamp(z, 0, 100)]
  return [x, y, z]
}

function toSrgb(notation: ColorNotation, value: Triple, alpha: number): Color {
  const [x, y, z] = value
  switch (notation) {
    case ColorNotation.HEX:
    case ColorNotation.RGB:
      return fromChannels([x, y, z], alpha)
    case ColorNotation.HSL:
      return fromHsl({ h: x, s: Math.max(0, y), l: z, alpha })
    case ColorNotation.HWB:
      return fromHwb({ h: x, w: Math.max(0, y), b: Math.max(0, z), alpha })
    case ColorNotation.OKLab:
      return fromOklab({ l: clamp(x, 0, 1), a: y, b: z, alpha })
    case ColorNotation.OKLCH:
      return fromOklch({ l: clamp(x, 0, 1), c: Math.max(0, y), h: z, alpha })
    case ColorNotation.Lab:
      return fromChannels(labToSrgb([clamp(x, 0, 100), y, z]), alpha)
    case ColorNotation.LCH: {
      const angle = (z * Math.PI) / 180
      const chroma = Math.max(0, y)
      const lab: Triple = [clamp(x, 0, 100), chroma * Math.cos(angle), chroma * Math.sin(angle)]
      return fromChannels(labToSrgb(lab), alpha)
    }
    case ColorNotation.XYZ_D50:
      return fromChannels(xyzToSrgb(multiply(D50_TO_D65, value)), alpha)
    case ColorNotation.XYZ_D65:
      return fromChannels(xyzToSrgb(value), alpha)
    case ColorNotation.Linear_sRGB:
      return fromChannels(linearSrgbToSrgb(value), alpha)
    default:
      return fromChannels(isRgbSpace(notation) ? rgbSpaceToSrgb(notation, value) : value, alpha)
  }
}

const DIRECT: Partial<Record<ColorNotation, Notation>> = {
  [ColorNotation.HEX]: 'hex',
  [ColorNotation.RGB]: 'rgb',
  [ColorNotation.HSL]: 'hsl',
  [ColorNotation.HWB]: 'hwb',
  [ColorNotation.Lab]: 'lab',
  [ColorNotation.LCH]: 'lch',
  [ColorNotation.OKLab]: 'oklab',
  [ColorNotation.OKLCH]: 'oklch',
}

function notationOf(notation: ColorNotation, flags: Set<SyntaxFlag>): Notation {
  if (flags.has(SyntaxFlag.ColorKeyword)) return 'named'
  if (flags.has(SyntaxFlag.RelativeColorSyntax) || flags.has(SyntaxFlag.ColorMix)) return 'mixed'
  return DIRECT[notation] ?? 'color'
}
