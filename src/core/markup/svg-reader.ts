import { Tokenizer } from 'htmlparser2'
import {
  inSource,
  joined,
  readCssColors,
  readValueColors,
  type FoundInCss,
  type SourceText,
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

/** Values of one attribute, one after the other in time. */
function readSteps(text: string, attribute: string, css: CssReader): FoundInCss[] {
  let at = 0
  return text.split(';').flatMap((part) => {
    const start = at
    at += part.length + 1
    return css.value(part, attribute).map((find) => ({ ...find, start: start + find.start }))
  })
}

/** Colours of one tag: its presentation attributes, `style`, pictures it holds, and what it animates. */
function readTag(svg: string, tag: string, attributes: readonly Attribute[], css: CssReader) {
  const animated = ANIMATES.has(tag)
    ? attributes.find(({ name }) => name === 'attributeName')?.text.text.trim()
    : undefined
  return attributes.flatMap(({ name, text }): FoundInCss[] => {
    if (name === 'style') return inSource(svg, text, css.style(text.text))
    if (svgColorAttributes.has(name)) return inSource(svg, text, css.value(text.text, name))
    if (animated && svgColorAttributes.has(animated) && ANIMATED_TO.has(name)) {
      // What changes in time cannot follow a slot: `var()` is not read there.
      const finds = readSteps(text.text, animated, css)
      return inSource(svg, text, finds).map((find) => ({ ...find, bindable: false }))
    }
    return []
  })
}

interface CssReader {
  readonly sheet: (text: string) => readonly FoundInCss[]
  readonly style: (text: string) => readonly FoundInCss[]
  readonly value: (text: string, property: string) => readonly FoundInCss[]
}

function cssReader(depth: number): CssReader {
  const pictures = depth < DEEPEST ? (svg: string) => readSvg(svg, depth + 1) : undefined
  return {
    sheet: (text) => readCssColors(text, 'stylesheet', pictures),
    style: (text) => readCssColors(text, 'declarationList', pictures),
    value: (text, property) => readValueColors(text, property, pictures),
  }
}

function readSvg(svg: string, depth: number): FoundInCss[] {
  const css = cssReader(depth)
  const found: FoundInCss[] = []
  let tag = ''
  let attributes: Attribute[] = []
  let name = ''
  let [from, to] = [-1, -1]
  /** The text of the style sheet that is open. */
  let sheet: SourceText[] | undefined
  const openTag = () => {
    for (const find of readTag(svg, tag, attributes, css)) found.push(find)
    attributes = []
  }
  const closeSheet = () => {
    if (!sheet?.length) return
    const text = joined(sheet)
    for (const find of inSource(svg, text, [...css.sheet(text.text)])) found.push(find)
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

/**
 * Every colour in a vector picture as a file of its own, which browsers read as XML:
 * presentation and `style` attributes, style sheets, what is animated, and pictures it holds
 * itself, each with its exact place. Words, addresses and names are passed over.
 */
export const readSvgColors = (svg: string): FoundInCss[] => readSvg(svg, 0)

/** Every colour in CSS, those of vector pictures that stand in its addresses included. */
export const readCss = (css: string, context: 'stylesheet' | 'declarationList'): FoundInCss[] =>
  readCssColors(css, context, readSvgColors)

/** The same in one value by itself, as an attribute holds it. */
export const readCssValue = (value: string, property: string): FoundInCss[] =>
  readValueColors(value, property, readSvgColors)
