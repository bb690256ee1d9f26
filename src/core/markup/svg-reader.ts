import { Tokenizer } from 'htmlparser2'
import {
  inSource,
  joined,
  readCssColors,
  readUnreadColors,
  readValueColors,
  type CssContext,
  type FoundInCss,
  type SourceText,
  type UnreadInCss,
  type UnreadReader,
} from '../uses'
import { plainText, xmlText } from './markup-source'

/** Presentation attributes that hold colours (SVG 2 §6.6); CSS reads them, `var()` included. */
export const svgColorAttributes: ReadonlySet<string> = new Set([
  'fill',
  'stroke',
  'stop-color',
  'flood-color',
  'lighting-color',
  'color',
])

/** Elements that change an attribute in time, and where they say to what (SMIL 3 §12). */
const ANIMATES = new Set(['animate', 'set', 'animateColor'])
const ANIMATED_TO = new Set(['from', 'to', 'by', 'values'])

/** How many pictures may lie inside one another. */
const DEEPEST = 4

const isRead = (name: string) =>
  name === 'style' ||
  name === 'attributeName' ||
  svgColorAttributes.has(name) ||
  ANIMATED_TO.has(name)

interface Attribute {
  readonly name: string
  readonly text: SourceText
}

/** Reads what a text of a vector picture holds, with its places in the source of the picture. */
interface TextReader<Find> {
  readonly sheet: (text: SourceText) => readonly Find[]
  readonly style: (text: SourceText) => readonly Find[]
  readonly value: (text: SourceText, property: string) => readonly Find[]
  /** One of the values that an attribute has in time. */
  readonly step: (text: SourceText, property: string) => readonly Find[]
}

/** Values of one attribute, one after the other in time. */
function stepsOf({ text, sourceAt }: SourceText): SourceText[] {
  let at = 0
  return text.split(';').map((part) => {
    const start = at
    at += part.length + 1
    return { text: part, sourceAt: (index) => sourceAt(start + index) }
  })
}

/** What one tag holds: its presentation attributes, `style`, pictures in these, and what it animates. */
function readTag<Find>(
  tag: string,
  attributes: readonly Attribute[],
  reader: TextReader<Find>,
): Find[] {
  const animated = ANIMATES.has(tag)
    ? attributes.find(({ name }) => name === 'attributeName')?.text.text.trim()
    : undefined
  return attributes.flatMap(({ name, text }): readonly Find[] => {
    if (name === 'style') return reader.style(text)
    if (svgColorAttributes.has(name)) return reader.value(text, name)
    if (animated && svgColorAttributes.has(animated) && ANIMATED_TO.has(name)) {
      return stepsOf(text).flatMap((step) => reader.step(step, animated))
    }
    return []
  })
}

function colorReader(svg: string, depth: number): TextReader<FoundInCss> {
  const pictures = depth < DEEPEST ? (held: string) => readColors(held, depth + 1) : undefined
  const value: TextReader<FoundInCss>['value'] = (text, property) =>
    inSource(svg, text, readValueColors(text.text, property, pictures))
  return {
    sheet: (text) => inSource(svg, text, readCssColors(text.text, 'stylesheet', pictures)),
    style: (text) => inSource(svg, text, readCssColors(text.text, 'declarationList', pictures)),
    value,
    // What changes in time cannot follow a slot: `var()` is not read there.
    step: (...of) => value(...of).map((find) => ({ ...find, bindable: false })),
  }
}

function unreadReader(pictures: UnreadReader): TextReader<UnreadInCss> {
  const read = (css: string, context: CssContext, placeOf: (at: number) => number) =>
    readUnreadColors(css, context, pictures).map((each) => ({
      ...each,
      start: placeOf(each.start),
    }))
  const value: TextReader<UnreadInCss>['value'] = ({ text, sourceAt }, property) =>
    read(`${property}:${text}`, 'declarationList', (at) => sourceAt(at - property.length - 1))
  return {
    sheet: ({ text, sourceAt }) => read(text, 'stylesheet', sourceAt),
    style: ({ text, sourceAt }) => read(text, 'declarationList', sourceAt),
    value,
    step: value,
  }
}

/** Goes through a vector picture as browsers read the file of one: as XML. */
function readSvg<Find>(svg: string, reader: TextReader<Find>): Find[] {
  const found: Find[] = []
  let tag = ''
  let attributes: Attribute[] = []
  let name = ''
  let [from, to] = [-1, -1]
  /** The text of the style sheet that is open. */
  let sheet: SourceText[] | undefined
  const openTag = () => {
    for (const find of readTag(tag, attributes, reader)) found.push(find)
    attributes = []
  }
  const closeSheet = () => {
    if (!sheet?.length) return
    for (const find of reader.sheet(joined(sheet))) found.push(find)
  }
  const nothing = () => undefined
  const tokenizer = new Tokenizer(
    { xmlMode: true, decodeEntities: false },
    {
      onopentagname(start, end) {
        tag = svg.slice(start, end).replace(/^.*:/, '')
      },
      onattribname(start, end) {
        name = svg.slice(start, end)
        ;[from, to] = [-1, -1]
      },
      onattribdata(start, end) {
        if (from < 0) from = start
        to = end
      },
      onattribend() {
        if (from >= 0 && isRead(name)) attributes.push({ name, text: xmlText(svg, from, to) })
      },
      onopentagend() {
        openTag()
        if (tag === 'style') sheet = []
      },
      onselfclosingtag: openTag,
      ontext: (start, end) => sheet?.push(xmlText(svg, start, end)),
      oncdata: (start, end, offset) => sheet?.push(plainText(svg, start, end - offset)),
      onclosetag(start, end) {
        if (svg.slice(start, end).replace(/^.*:/, '') !== 'style') return
        closeSheet()
        sheet = undefined
      },
      onattribentity: nothing,
      ontextentity: nothing,
      oncomment: nothing,
      ondeclaration: nothing,
      onprocessinginstruction: nothing,
      onend: nothing,
    },
  )
  tokenizer.write(svg)
  tokenizer.end()
  return found
}

const readColors = (svg: string, depth: number): FoundInCss[] =>
  readSvg(svg, colorReader(svg, depth))

/**
 * Every colour in a vector picture as a file of its own, which browsers read as XML:
 * presentation and `style` attributes, style sheets, what is animated, and pictures it holds
 * itself, each with its exact place. Words, addresses and names are passed over.
 */
export const readSvgColors = (svg: string): FoundInCss[] => readColors(svg, 0)

/** Every colour in CSS, those of vector pictures that stand in its addresses included. */
export const readCss = (css: string, context: 'stylesheet' | 'declarationList'): FoundInCss[] =>
  readCssColors(css, context, readSvgColors)

/** The same in one value by itself, as an attribute holds it. */
export const readCssValue = (value: string, property: string): FoundInCss[] =>
  readValueColors(value, property, readSvgColors)

/** A picture in a picture in CSS: its characters are escaped twice. */
const unreadInHeld: UnreadReader = (svg) =>
  readSvgColors(svg).length ? [{ start: 0, text: svg, why: 'picture' }] : []

/** What cannot be read exactly in a vector picture that an address in CSS holds. */
export const readUnreadInAddress: UnreadReader = (svg) => readSvg(svg, unreadReader(unreadInHeld))

/** What cannot be read exactly in a vector picture as a file of its own. */
export const readUnreadInSvg: UnreadReader = (svg) =>
  readSvg(svg, unreadReader(readUnreadInAddress))
