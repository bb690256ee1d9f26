import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5'
import { colorOf } from '../color'
import { inSource, joined, paintsOf, type FoundInCss } from '../uses'
import { attributeText, foreignText } from './markup-source'
import { readCss, readCssValue, svgColorAttributes } from './svg-reader'

type Node = DefaultTreeAdapterTypes.ChildNode
type Element = DefaultTreeAdapterTypes.Element

const SVG = 'http://www.w3.org/2000/svg'

/** Attributes of old HTML that hold one colour; CSS does not read them. */
const HTML_ATTRIBUTES = new Set(['bgcolor', 'bordercolor', 'color'])

/**
 * Every colour in a piece of HTML or SVG: `style` attributes, colour
 * attributes and `<style>` blocks, with exact places in the source, however
 * their text is written there. Words of the text are never taken for colours.
 */
export function readHtmlColors(html: string): FoundInCss[] {
  const found: FoundInCss[] = []
  const { childNodes } = parseFragment(html, { sourceCodeLocationInfo: true })
  // Broken markup makes a browser open an element anew; it is written once all the same.
  const known = new Set<number>()
  // A stack instead of recursion: markup may be nested to any depth.
  const open: Node[] = childNodes.toReversed()
  for (let node = open.pop(); node; node = open.pop()) {
    if (!('attrs' in node)) continue
    const place = node.sourceCodeLocation?.startOffset
    if (place !== undefined && !known.has(place)) {
      for (const find of readAttributes(html, node)) found.push(find)
    }
    if (place !== undefined) known.add(place)
    if (node.tagName === 'style') for (const find of readStyleBlock(html, node)) found.push(find)
    const { childNodes: inside } = 'content' in node ? node.content : node
    for (let i = inside.length - 1; i >= 0; i -= 1) open.push(inside[i]!)
  }
  return found.sort((a, b) => a.start - b.start)
}

function readStyleBlock(html: string, element: Element): FoundInCss[] {
  const texts = element.childNodes.flatMap((child) => {
    const place = child.sourceCodeLocation
    if (!('value' in child) || !place) return []
    return [{ value: child.value, from: place.startOffset, to: place.endOffset }]
  })
  const [first] = texts
  if (!first) return []
  if (element.namespaceURI !== SVG) {
    // Raw text: nothing in it but line ends is read in another way, and CSS takes all of them.
    return readCss(html.slice(first.from, first.to), 'stylesheet').map((find) => ({
      ...find,
      start: find.start + first.from,
    }))
  }
  const read = texts.map(({ from, to }) => foreignText(html, from, to))
  // Where broken markup left the text in other places than it says, nothing can be replaced exactly.
  if (read.some(({ text }, i) => text !== texts[i]!.value)) return []
  const text = joined(read)
  return inSource(html, text, readCss(text.text, 'stylesheet'))
}

function readAttributes(html: string, element: Element): FoundInCss[] {
  const places = element.sourceCodeLocation?.attrs
  const isSvg = element.namespaceURI === SVG
  return element.attrs.flatMap(({ name, value }) => {
    const place = places?.[name]
    const own = isSvg ? svgColorAttributes : HTML_ATTRIBUTES
    if (!place || value === '' || !(name === 'style' || own.has(name))) return []
    const text = attributeText(html, place.startOffset, place.endOffset)
    if (text?.text !== value) return []
    if (name === 'style') return inSource(html, text, readCss(value, 'declarationList'))
    if (isSvg) return inSource(html, text, readCssValue(value, name))
    if (!colorOf(value) || value.trim() !== value) return []
    const whole = { start: 0, text: value, property: name, paints: paintsOf(name), bindable: false }
    return inSource(html, text, [whole])
  })
}
