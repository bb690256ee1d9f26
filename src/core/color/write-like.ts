import { tokenize, TokenType, type CSSToken } from '@csstools/css-tokenizer'
import { channels, colorKey, toBytes, type Color, type Triple } from './color'
import { mapToGamut } from './gamut'
import { toHsl, toHwb } from './hsl'
import { toLab } from './lab'
import { cssName } from './names'
import { toOklab } from './oklab'
import { toOklch } from './oklch'
import { colorOf, parseColor } from './parse'
import { isRgbSpace, rgbSpaceFromSrgb, srgbToLinear } from './rgb-spaces'
import { writeAlpha, writeHex, writeShortHex } from './write'
import { srgbToXyz, srgbToXyzD50 } from './xyz'

/** One channel of a notation: its value, and what 100 % of it are; angles, in degrees, have no percentages. */
interface Channel {
  readonly value: number
  readonly whole?: number
}

const of = (values: readonly number[], wholes: ReadonlyArray<number | undefined>): Channel[] =>
  values.map((value, i) => {
    const whole = wholes[i]
    return whole === undefined ? { value } : { value, whole }
  })

/** The channels of `color()` in a space (CSS Color 4 §10). */
function inSpace(color: Color, space: string): Channel[] | undefined {
  const srgb = channels(color)
  const values = (): Triple | undefined => {
    if (space === 'srgb') return srgb
    if (space === 'srgb-linear') return srgbToLinear(srgb)
    if (space === 'xyz' || space === 'xyz-d65') return srgbToXyz(srgb)
    if (space === 'xyz-d50') return srgbToXyzD50(srgb)
    return isRgbSpace(space) ? rgbSpaceFromSrgb(space, srgb) : undefined
  }
  const own = values()
  return own && of(own, [1, 1, 1])
}

function polar([l, a, b]: Triple): Triple {
  const hue = (Math.atan2(b, a) * 180) / Math.PI
  return [l, Math.hypot(a, b), hue < 0 ? hue + 360 : hue]
}

/** Channels by function, with what 100 % are (CSS Color 4 §4 to §10). Those of sRGB are mapped into its gamut. */
function channelsOf(name: string, color: Color, space: string): Channel[] | undefined {
  switch (name) {
    case 'rgb':
    case 'rgba':
      return of(toBytes(mapToGamut(color)), [255, 255, 255])
    case 'hsl':
    case 'hsla': {
      const { h, s, l } = toHsl(mapToGamut(color))
      return of([h, s, l], [undefined, 100, 100])
    }
    case 'hwb': {
      const { h, w, b } = toHwb(mapToGamut(color))
      return of([h, w, b], [undefined, 100, 100])
    }
    case 'lab':
      return of(toLab(color), [100, 125, 125])
    case 'lch':
      return of(polar(toLab(color)), [100, 150, undefined])
    case 'oklab': {
      const { l, a, b } = toOklab(color)
      return of([l, a, b], [1, 0.4, 0.4])
    }
    case 'oklch': {
      const { l, c, h } = toOklch(color)
      return of([l, c, h], [1, 0.4, undefined])
    }
    case 'color':
      return inSpace(color, space)
    default:
      return undefined
  }
}

/** A component of a colour function as it is written. */
interface Component {
  readonly start: number
  readonly end: number
  readonly text: string
  /** `%`, a unit of angles, nothing for a number; undefined for `none` and for what is calculated. */
  readonly unit?: string
}

interface ColorFunction {
  readonly name: string
  /** The space that `color()` names. */
  readonly space: string
  readonly components: readonly Component[]
  readonly alpha?: Component
  readonly hasCommas: boolean
}

function componentOf(text: string, tokens: readonly CSSToken[]): Component {
  const [start, end] = [tokens[0]![2], tokens.at(-1)![3] + 1]
  const written = { start, end, text: text.slice(start, end) }
  const [type, , , , data] = tokens[0]!
  if (tokens.length > 1) return written
  if (type === TokenType.Number) return { ...written, unit: '' }
  if (type === TokenType.Percentage) return { ...written, unit: '%' }
  if (type === TokenType.Dimension) return { ...written, unit: data.unit.toLowerCase() }
  return written
}

/** A colour function by its parts; undefined for what is none, and for relative colours. */
function functionOf(text: string): ColorFunction | undefined {
  const tokens = tokenize({ css: text })
  const first = tokens.findIndex(([type]) => type === TokenType.Function)
  const head = tokens[first]
  if (head?.[0] !== TokenType.Function) return undefined
  const name = head[4].value.toLowerCase()
  const components: Component[] = []
  let [depth, hasCommas, space, slash] = [0, false, '', -1]
  let own: CSSToken[] = []
  const end = () => {
    if (own.length) components.push(componentOf(text, own))
    own = []
  }
  for (const token of tokens.slice(first + 1)) {
    const [type] = token
    if (depth === 0 && type === TokenType.CloseParen) break
    if (type === TokenType.Function || type === TokenType.OpenParen) depth += 1
    else if (type === TokenType.CloseParen) depth -= 1
    const parts =
      type === TokenType.Whitespace || type === TokenType.Comment || type === TokenType.Comma
    if (depth === 0 && (parts || (type === TokenType.Delim && token[4].value === '/'))) {
      end()
      if (type === TokenType.Comma) hasCommas = true
      if (type === TokenType.Delim) slash = components.length
    } else if (name === 'color' && !space && components.length === 0 && type === TokenType.Ident) {
      space = token[4].value.toLowerCase()
    } else own.push(token)
  }
  end()
  const alpha = slash >= 0 || components.length > 3 ? components[3] : undefined
  return { name, space, components: components.slice(0, 3), ...(alpha && { alpha }), hasCommas }
}

const DEGREES: Readonly<Record<string, number>> = {
  deg: 1,
  grad: 0.9,
  rad: 180 / Math.PI,
  turn: 360,
}

/** A number to so many decimals; without the zero before the point where the one before had none. */
function written(value: number, decimals: number, like: string): string {
  const text = String(Number(value.toFixed(Math.max(0, decimals))))
  return /^[+-]?\./.test(like) ? text.replace(/^(-?)0\./, '$1.') : text
}

/** How a component is written: in the unit that stood there, to a precision that steps up from whole hundredths of its range. */
function componentText(
  { value, whole }: Channel,
  { unit, text }: Pick<Component, 'unit' | 'text'>,
  extra: number,
): string {
  if (whole === undefined) {
    const degrees = DEGREES[unit ?? ''] ?? 1
    const kept = unit && DEGREES[unit] ? unit : ''
    return written(value / degrees, extra + (degrees > 1 ? 2 : 0), text) + kept
  }
  if (unit === '%') return `${written((value / whole) * 100, extra, text)}%`
  return written(value, extra + (whole < 10 ? 2 : 0), text)
}

/** Where no precision was enough to tell a colour, that is what one is. */
const MOST_DECIMALS = 6

const isSame = (a: Color, b: Color): boolean =>
  colorKey({ ...a, alpha: 1 }) === colorKey({ ...b, alpha: 1 }) &&
  channels(a).every((c, i) => Math.abs(c - channels(b)[i]!) < 0.003)

function alphaText(alpha: number, like: Component): string {
  const isPercent = like.unit === '%'
  const number = writeAlpha(alpha)
  return isPercent
    ? `${written(Number(number) * 100, 1, like.text)}%`
    : written(Number(number), 3, like.text)
}

/** `rgb(…)` and `hsl(…)` with commas take an alpha under another name in older browsers. */
const withName = (text: string) =>
  text.replace(
    /^(\s*)(rgb|hsl)\(/i,
    (_, blank: string, name: string) =>
      `${blank}${name}${name === name.toUpperCase() ? 'A' : 'a'}(`,
  )

function functionLike(text: string, own: ColorFunction, color: Color): string | undefined {
  const { name, space, components, alpha, hasCommas } = own
  const values = channelsOf(name, color, space)
  if (!values || components.length !== 3) return undefined
  const old = colorOf(text)
  const goal = /^(?:rgba?|hsla?|hwb)$/.test(name) ? mapToGamut(color) : color
  // With commas, `rgb()` takes numbers or percentages, not both.
  const isOdd = hasCommas && components.some(({ unit }) => unit === undefined)
  const usual = name.startsWith('hsl') || name === 'hwb' ? '%' : ''
  const like = components.map((each) =>
    isOdd || each.unit === undefined ? { ...each, unit: usual } : each,
  )
  const put = (extra: number): string => {
    const parts: Array<readonly [start: number, end: number, text: string]> = components.map(
      ({ start, end }, i) => [start, end, componentText(values[i]!, like[i]!, extra)] as const,
    )
    if (alpha) {
      const isKept = old && Math.round(old.alpha * 255) === Math.round(color.alpha * 255)
      parts.push([alpha.start, alpha.end, isKept ? alpha.text : alphaText(color.alpha, alpha)])
    } else if (color.alpha < 1) {
      const between = text.slice(components[0]!.end, components[1]!.start)
      const [, , last] = components
      parts.push([last!.end, last!.end, `${hasCommas ? between : ' / '}${writeAlpha(color.alpha)}`])
    }
    let result = ''
    let at = 0
    for (const [start, end, part] of parts) {
      result += text.slice(at, start) + part
      at = end
    }
    result += text.slice(at)
    return !alpha && hasCommas && color.alpha < 1 ? withName(result) : result
  }
  for (let extra = 0; extra <= MOST_DECIMALS; extra += 1) {
    const next = put(extra)
    const read = colorOf(next)
    if (read && isSame(read, goal)) return next
  }
  return undefined
}

function hexLike(text: string, color: Color): string {
  const long = writeHex(color)
  const withFull = /^\s*#[\da-f]{8}\s*$/i.test(text) && long.length === 7 ? `${long}ff` : long
  const short = /^\s*#?[\da-f]{3,4}\s*$/i.test(text) ? writeShortHex(color) : undefined
  const isFullShort = short?.length === 4 && /^\s*#[\da-f]{4}\s*$/i.test(text)
  const hex = short ? (isFullShort ? `${short}f` : short) : withFull
  return /[A-F]/.test(text) && !/[a-f]/.test(text) ? hex.toUpperCase() : hex
}

/**
 * A colour in the notation of another that stands somewhere: its function and the letter case of
 * that, commas or blanks, units, a short hex code where one tells the colour, an alpha as it was
 * written where it stays; nothing but the numbers is other. Numbers have as many decimals as the
 * colour needs to be read as the same 8-bit values. A name becomes a name where CSS has one.
 * What has no notation of its own (`color-mix()`, relative colours) becomes a hex code. Colours
 * outside sRGB are mapped into it where the notation cannot hold them.
 */
export function writeLike(text: string, color: Color): string {
  const parsed = parseColor(text)
  if (!parsed.ok) return writeHex(color)
  const { notation } = parsed
  if (notation === 'hex') return hexLike(text, color)
  if (notation === 'named') {
    const name = cssName(color) ?? writeHex(color)
    return text === text.toUpperCase() ? name.toUpperCase() : name
  }
  const own = notation === 'mixed' ? undefined : functionOf(text)
  return (own && functionLike(text, own, color)) ?? writeHex(color)
}
