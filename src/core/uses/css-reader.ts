import { colorOf } from '../color'
import {
  isAcceptedValue,
  isColoredValue,
  longestChecked,
  readDeclarations,
  TokenType,
  type CSSToken,
  type FoundDeclaration,
} from '../css'
import { Channels, takenFrom } from './channels'
import { isColorText } from './color-text'
import { heldAddresses, heldSvg, noPictures, type PictureReader } from './held-pictures'
import { inSource } from './source-text'
import type { FoundInCss } from './found-in-css'
import type { UsePaints } from './use'

/** Properties that take colours; words elsewhere (font or animation names) are no colours. CSS specifications, by module. */
const COLOR_PROPERTY =
  /^(?:-(?:webkit|moz|ms|o|epub)-)?(?:color|(?:background|border|outline|column-rule|text-decoration|text-emphasis|text-stroke|text-fill|caret|accent|scrollbar|fill|stroke|stop|flood|lighting|tap-highlight|mask|list-style|box-shadow|text-shadow|filter|backdrop-filter|content|box-reflect|rule)(?:-.*)?)$/i

/** Of those, the ones in which a colour stands only inside a picture, a gradient or a filter. */
const ONLY_INSIDE =
  /^(?:-(?:webkit|moz|ms|o)-)?(?:background-(?:image|position|size|repeat|clip|origin|attachment|blend-mode)|border-image|mask|list-style|filter|backdrop-filter|content|box-reflect)(?:-.*)?$/i

export function paintsOf(property: string): UsePaints {
  if (/shadow|filter/i.test(property)) return 'shadow'
  if (/background|^fill$/i.test(property)) return 'fill'
  if (/border|outline|rule|stroke/i.test(property)) return 'line'
  return /color|decoration|text|caret/i.test(property) ? 'text' : 'other'
}

const COLOR_FUNCTION = /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)$/
/** Functions whose arguments may be colours by name: colours, gradients, pictures, filters. */
const TAKES_COLORS =
  /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix|light-dark|contrast-color|drop-shadow|image|if|from|to|color-stop|(?:-\w+-)?(?:(?:repeating-)?(?:linear|radial|conic)-gradient|gradient|image-set|cross-fade))$/
/** Functions of which only what follows the first comma is a value: `var(--name, red)`. */
const FALLS_BACK = /^(?:var|attr|env)$/
/** Functions whose words and hashes are names: of counters, elements, painters, styles. */
const TAKES_NAMES =
  /^(?:counters?|string|content|element|paint|target-(?:counters?|text)|leader|symbols|style|format|path)$/
const SLOT = /^--slot-([a-z][a-z0-9-]*?)(?:--[a-z0-9-]+)?$/

/** `red`, not `f00`: a bare word is only a colour when it names one. `transparent` holds no colour. */
function isNamedColor(word: string): boolean {
  const lower = word.toLowerCase()
  if (lower === 'transparent' || !/^[a-z]+$/.test(lower)) return false
  if (/^[a-f]{3,4}$|^[a-f]{6}$|^[a-f]{8}$/.test(lower)) return false
  return colorOf(lower) !== undefined
}

/** 3, 4, 6 or 8 digits; nothing that an escape put behind them. */
const isHex = (word: string) => /^(?:[\da-f]{3,4}|[\da-f]{6}|[\da-f]{8})$/i.test(word)

/** What stands in a value: a stretch of its source, and whether it is a colour of its own or one made of others. */
interface Stretch {
  readonly start: number
  readonly end: number
  readonly slot?: string
}

interface OpenFunction {
  readonly name: string
  readonly start: number
  /** How many colours had been found before it. */
  readonly foundBefore: number
  /** Whether colours by name, and any colours, may stand in it. */
  readonly named: boolean
  readonly any: boolean
}

/**
 * Goes through a value once and finds the colours in it: those inside
 * `color-mix()`, relative colours, `light-dark()` and `contrast-color()` one by
 * one, for they are what was decided. `named` says whether a colour name may
 * stand outside of any function.
 */
class ValueScan {
  readonly found: Stretch[] = []
  /** The outermost functions that make colours out of those found. */
  readonly made: Stretch[] = []
  /** Colours whose numbers are not there to be read: custom properties hold some of them. */
  readonly unread: Stretch[] = []
  private readonly open: OpenFunction[] = []
  private makers = 0
  /** While a reference to a slot is passed over, how deep it was found. */
  private passing = -1

  constructor(
    private readonly css: string,
    private readonly named: boolean,
  ) {}

  run(tokens: readonly CSSToken[]): void {
    tokens.forEach((token, i) => this.take(token, tokens[i + 1]))
  }

  private take(token: CSSToken, next: CSSToken | undefined): void {
    const [type, , start, last] = token
    const end = last + 1
    if (type === TokenType.Function) this.enter(token[4].value.toLowerCase(), start, next)
    else if (
      type === TokenType.OpenParen ||
      type === TokenType.OpenSquare ||
      type === TokenType.OpenCurly
    ) {
      const { named, any } = this.inside()
      this.open.push({ name: '', start, foundBefore: this.found.length, named, any })
    } else if (
      type === TokenType.CloseParen ||
      type === TokenType.CloseSquare ||
      type === TokenType.CloseCurly
    )
      this.leave(end)
    else if (this.passing >= 0) return
    else if (type === TokenType.Comma) this.fallBack()
    else if (type === TokenType.Hash) {
      if (this.inside().any && isHex(token[4].value)) this.found.push({ start, end })
    } else if (type === TokenType.Ident) {
      if (this.inside().named && isNamedColor(token[4].value)) this.found.push({ start, end })
    }
  }

  private inside(): Pick<OpenFunction, 'named' | 'any'> {
    return this.open.at(-1) ?? { named: this.named, any: true }
  }

  private enter(name: string, start: number, next: CSSToken | undefined): void {
    const foundBefore = this.found.length
    const around = this.inside()
    const word = next?.[0] === TokenType.Ident ? next[4].value : ''
    if (this.passing < 0 && name === 'var' && around.any && SLOT.test(word)) {
      this.passing = this.open.length
      this.found.push({ start, end: start, slot: SLOT.exec(word)![1] })
    }
    const any = around.any && !TAKES_NAMES.test(name) && !FALLS_BACK.test(name)
    const named = any && TAKES_COLORS.test(name)
    if (makesColors(name)) this.makers += 1
    this.open.push({ name, start, foundBefore, named, any })
  }

  /** After the first comma of `var()` and its like stands a value of its own. */
  private fallBack(): void {
    const own = this.open.at(-1)
    if (!own || own.any || !FALLS_BACK.test(own.name)) return
    const around = this.open.at(-2) ?? { named: this.named, any: true }
    this.open[this.open.length - 1] = { ...own, named: around.named, any: around.any }
  }

  private leave(end: number): void {
    const own = this.open.pop()
    if (!own) return
    const { name, start, foundBefore } = own
    if (this.passing === this.open.length) {
      this.passing = -1
      const slot = this.found.pop()!
      this.found.push({ ...slot, end })
      return
    }
    if (!makesColors(name)) return
    this.makers -= 1
    if (this.passing >= 0 || !this.inside().any) return
    const isEmpty = this.found.length === foundBefore
    if (isEmpty && COLOR_FUNCTION.test(name)) {
      const text = end - start <= LONGEST_COLOR ? this.css.slice(start, end) : ''
      if (colorOf(text)) this.found.push({ start, end })
      else if (HELD_ELSEWHERE.test(text)) this.unread.push({ start, end })
    }
    if (!isEmpty && this.makers === 0) this.made.push({ start, end })
  }
}

/** A colour with a part that is written elsewhere; one that is made of another colour is told by that. */
const HELD_ELSEWHERE = /^[a-z]+\((?!\s*from\s).*\b(?:var|attr|env)\(/is

/** A longer stretch holds no colour, and is not looked at again for each function that it is in. */
const LONGEST_COLOR = 400

const makesColors = (name: string) =>
  COLOR_FUNCTION.test(name) || /^(?:color-mix|light-dark|contrast-color)$/.test(name)

/**
 * Whether browsers take the declaration. Every colour in it is taken for `red`,
 * so that what colours may be written is for one parser alone to say.
 */
function isTaken(css: string, property: string, [from, to]: Span, scan: ValueScan): boolean {
  const { found, made } = scan
  const value = css.slice(from, to)
  // With a reference in it, a value is taken whatever else it holds (CSS Variables 1 §3).
  if (/(?:^|[^\w-])(?:var|env|attr|if)\(/i.test(value)) return true
  if (value.length > longestChecked) return false
  const outer = made.filter(({ start, end }) => isColorText(css.slice(start, end)))
  const stretches = [
    ...outer,
    ...found.filter(({ start }) => !outer.some((each) => start >= each.start && start < each.end)),
  ].sort((a, b) => a.start - b.start)
  let [plain, at] = ['', from]
  for (const { start, end } of stretches) {
    plain += `${css.slice(at, start)}red`
    at = end
  }
  return isAcceptedValue(property, plain + css.slice(at, to))
}

type Span = readonly [from: number, to: number]

/** Descriptors that hold colours; `var()` cannot stand in any. */
const COLOR_DESCRIPTOR = /^(?:property:initial-value|font-palette-values:override-colors)$/

/** Goes through the value of a declaration; undefined where it takes no colours. */
function scanOf(css: string, { property, tokens, descriptorOf }: FoundDeclaration) {
  // A custom function holds values of any sort: its own properties, and what it comes to.
  const inFunction = descriptorOf === 'function'
  const custom = property.startsWith('--') || (inFunction && property === 'result')
  const inDescriptor = descriptorOf !== undefined && descriptorOf !== 'page' && !inFunction
  const takes = inDescriptor
    ? COLOR_DESCRIPTOR.test(`${descriptorOf}:${property}`)
    : custom || (!inFunction && COLOR_PROPERTY.test(property))
  if (!takes) return undefined
  const span: Span = [tokens[0]![2], tokens.at(-1)![3] + 1]
  const lone = tokens.length === 1
  const named = custom
    ? lone || isColoredValue(css.slice(...span))
    : inDescriptor || !ONLY_INSIDE.test(property)
  const scan = new ValueScan(css, named)
  scan.run(tokens)
  return { scan, span, custom, inDescriptor }
}

type Scanned = NonNullable<ReturnType<typeof scanOf>>

function findsIn(css: string, property: string, scanned: Scanned): FoundInCss[] {
  const { scan, span, custom, inDescriptor } = scanned
  if (scan.found.length === 0) return []
  const bindable = !inDescriptor && (custom || isTaken(css, property, span, scan))
  const shared = { property, paints: paintsOf(property), bindable }
  return scan.found.map(({ start, end, slot }) => ({
    start,
    text: css.slice(start, end),
    ...shared,
    ...(slot ? { slot } : {}),
  }))
}

export type CssContext = 'stylesheet' | 'declarationList'

/**
 * Every colour in a stylesheet, or in one declaration list (`style="…"`), with
 * its exact place. Comments, strings, addresses and selectors are passed over;
 * what cannot be parsed is left alone.
 */
export function readCssColors(
  css: string,
  context: CssContext,
  pictures: PictureReader = noPictures,
): FoundInCss[] {
  const found: FoundInCss[] = []
  const channels = new Channels()
  readDeclarations(css, context, (declaration) => {
    const scanned = scanOf(css, declaration)
    if (scanned) {
      for (const find of findsIn(css, declaration.property, scanned)) found.push(find)
      noteChannels(channels, css, declaration, scanned)
    }
    if (pictures === noPictures) return
    for (const find of readAddresses(css, declaration, pictures)) found.push(find)
  })
  const held = channels.finds()
  return held.length ? [...found, ...held].sort((a, b) => a.start - b.start) : found
}

/** What a declaration says of properties that hold the numbers of a colour. */
function noteChannels(
  channels: Channels,
  css: string,
  { property }: FoundDeclaration,
  { scan, span: [from, to], custom }: Scanned,
): void {
  for (const { start, end } of scan.unread) channels.refer(css.slice(start, end))
  if (custom && scan.found.length === 0) channels.declare(property, from, css.slice(from, to))
}

/** The colours of vector pictures that the addresses of a declaration hold. They stand in no order with those outside. */
function readAddresses(
  css: string,
  { property, tokens }: FoundDeclaration,
  pictures: PictureReader,
): FoundInCss[] {
  const addresses = heldAddresses(css, tokens)
  return addresses.flatMap((address) => {
    const held = heldSvg(address)
    if (!held) return []
    const { svg, escape } = held
    // What is escaped twice is left alone.
    const plain = pictures(svg.text).filter((find) => !find.escape)
    return inSource(
      css,
      svg,
      plain.map((find): FoundInCss => ({ ...find, property, bindable: false, escape })),
    )
  })
}

/** Every colour in one value by itself, as an attribute of SVG holds it. */
export function readValueColors(
  value: string,
  property: string,
  pictures: PictureReader = noPictures,
): FoundInCss[] {
  return readCssColors(`${property}:${value}`, 'declarationList', pictures).map((find) => ({
    ...find,
    start: find.start - property.length - 1,
  }))
}

/** A stretch of CSS that holds a colour, or may, and cannot be read exactly. */
export interface UnreadInCss {
  readonly start: number
  readonly text: string
  /** Its numbers are held elsewhere, or it is a picture whose characters are escaped in their turn. */
  readonly why: 'held-elsewhere' | 'picture'
}

/** Tells what a vector picture holds that cannot be read exactly. */
export type UnreadReader = (svg: string) => readonly UnreadInCss[]

/**
 * All that `readCssColors` leaves alone because it cannot be read exactly, in the order in which it
 * stands; what is in a picture stands where the address of the picture begins.
 */
export function readUnreadColors(
  css: string,
  context: CssContext,
  pictures: UnreadReader = () => [],
): UnreadInCss[] {
  const found: UnreadInCss[] = []
  const channels = new Channels()
  readDeclarations(css, context, (declaration) => {
    const scanned = scanOf(css, declaration)
    if (scanned) noteChannels(channels, css, declaration, scanned)
    for (const { start, end } of scanned?.scan.unread ?? []) {
      found.push({ start, text: css.slice(start, end), why: 'held-elsewhere' })
    }
    for (const address of heldAddresses(css, declaration.tokens)) {
      const start = address.sourceAt(0)
      const svg = heldSvg(address)?.svg.text ?? ''
      if (/<svg[\s/>]/i.test(svg)) for (const each of pictures(svg)) found.push({ ...each, start })
      else found.push({ start, text: address.text, why: 'picture' })
    }
  })
  const held = channels.found()
  return found
    .filter(({ text }) => !held.has(takenFrom(text) ?? ''))
    .sort((a, b) => a.start - b.start)
}
