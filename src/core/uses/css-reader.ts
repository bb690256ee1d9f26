import {
  isAcceptedValue,
  isColoredValue,
  longestChecked,
  readDeclarations,
  type FoundDeclaration,
} from '../css'
import { Channels, takenFrom } from './channels'
import { isColorText } from './color-text'
import { heldAddresses, heldSvg, noPictures, type PictureReader } from './held-pictures'
import { inSource, type SourceText } from './source-text'
import type { FoundInCss } from './found-in-css'
import type { UsePaints } from './use'
import { References } from './references'
import { ValueScan } from './value-scan'

/** Properties that take colours; words elsewhere (font or animation names) are no colours. CSS specifications, by module. */
const COLOR_PROPERTY =
  /^(?:-(?:webkit|moz|ms|o|epub)-)?(?:color|(?:background|border|outline|column-rule|text-decoration|text-emphasis|text-stroke|text-fill|caret|accent|scrollbar|fill|stroke|stop|flood|lighting|tap-highlight|mask|list-style|box-shadow|text-shadow|filter|backdrop-filter|content|box-reflect|rule|row-rule)(?:-.*)?)$/i

/** Of those, the ones in which a colour stands only inside a picture, a gradient or a filter. */
const ONLY_INSIDE =
  /^(?:-(?:webkit|moz|ms|o)-)?(?:background-(?:image|position|size|repeat|clip|origin|attachment|blend-mode)|border-image|mask|list-style|filter|backdrop-filter|content|box-reflect)(?:-.*)?$/i

export function paintsOf(property: string): UsePaints {
  if (/shadow|filter/i.test(property)) return 'shadow'
  if (/background|^fill$/i.test(property)) return 'fill'
  if (/border|outline|rule|stroke/i.test(property)) return 'line'
  return /color|decoration|text|caret/i.test(property) ? 'text' : 'other'
}

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
  const references = new References()
  readDeclarations(css, context, (declaration) => {
    references.note(declaration)
    const scanned = scanOf(css, declaration)
    if (scanned) {
      for (const find of findsIn(css, declaration.property, scanned)) found.push(find)
      noteChannels(channels, css, declaration, scanned)
    }
    if (pictures === noPictures) return
    for (const find of readAddresses(css, declaration, pictures)) found.push(find)
  })
  for (const find of channels.finds()) found.push(find)
  const colors = found.filter((find) => !isName(find, references))
  // What conditions ask for comes behind the value that it stands in.
  const isInOrder = colors.every(({ start }, i) => i === 0 || colors[i - 1]!.start <= start)
  return isInOrder ? colors : colors.sort((a, b) => a.start - b.start)
}

/** Whether a bare word in a custom property is the name of something else: all that uses it takes no colours. */
const isName = ({ property, text }: FoundInCss, references: References): boolean =>
  property.startsWith('--') &&
  /^[a-z]+$/i.test(text) &&
  references.isNoColor(property, (user) => COLOR_PROPERTY.test(user))

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
  return heldAddresses(css, tokens).flatMap((address) =>
    readAddress(css, address, property, pictures),
  )
}

/** The colours of the vector picture that an address in some source holds, if it holds one. */
export function readAddress(
  source: string,
  address: SourceText,
  property: string,
  pictures: PictureReader,
): FoundInCss[] {
  const held = heldSvg(address)
  if (!held) return []
  const { svg, escape } = held
  // What is escaped twice is left alone.
  const plain = pictures(svg.text).filter((find) => !find.escape)
  return inSource(
    source,
    svg,
    plain.map((find): FoundInCss => ({ ...find, property, bindable: false, escape })),
  )
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

/** What is unread of the vector picture that an address holds; it stands where the address begins. */
export function unreadInAddress(address: SourceText, pictures: UnreadReader): UnreadInCss[] {
  const start = address.sourceAt(0)
  const svg = heldSvg(address)?.svg.text ?? ''
  if (!/<svg[\s/>]/i.test(svg)) return [{ start, text: address.text, why: 'picture' }]
  return pictures(svg).map((each) => ({ ...each, start }))
}

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
      for (const each of unreadInAddress(address, pictures)) found.push(each)
    }
  })
  const held = channels.found()
  return found
    .filter(({ text }) => !held.has(takenFrom(text) ?? ''))
    .sort((a, b) => a.start - b.start)
}
