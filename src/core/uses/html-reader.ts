import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5'
import { colorOf } from '../color'
import { paintsOf, readCssColors, type FoundInCss } from './css-reader'

type Node = DefaultTreeAdapterTypes.ChildNode

/** Attributes that hold one colour by themselves (SVG presentation, old HTML). */
const COLOR_ATTRIBUTES = new Set([
  'fill',
  'stroke',
  'stop-color',
  'flood-color',
  'lighting-color',
  'color',
  'bgcolor',
  'bordercolor',
])

/**
 * Every colour in a piece of HTML or SVG: `style` attributes, colour
 * attributes and `<style>` blocks, with exact places. Words of the text are
 * never taken for colours.
 */
export function readHtmlColors(html: string): FoundInCss[] {
  const found: FoundInCss[] = []
  const visit = (node: Node) => {
    if ('attrs' in node) readAttributes(html, node, found)
    if (node.nodeName === 'style') readStyleBlock(node, found)
    if ('childNodes' in node) node.childNodes.forEach(visit)
  }
  parseFragment(html, { sourceCodeLocationInfo: true }).childNodes.forEach(visit)
  return found.sort((a, b) => a.start - b.start)
}

function shifted(finds: readonly FoundInCss[], by: number): FoundInCss[] {
  return finds.map((find) => ({ ...find, start: find.start + by }))
}

function readStyleBlock(node: Node, found: FoundInCss[]): void {
  const text = 'childNodes' in node ? node.childNodes[0] : undefined
  if (text?.nodeName !== '#text' || !text.sourceCodeLocation || !('value' in text)) return
  found.push(
    ...shifted(readCssColors(text.value, 'stylesheet'), text.sourceCodeLocation.startOffset),
  )
}

function readAttributes(html: string, element: Node, found: FoundInCss[]): void {
  if (!('attrs' in element)) return
  const places = element.sourceCodeLocation?.attrs
  for (const { name, value } of element.attrs) {
    const place = places?.[name]
    if (!place) continue
    const raw = html.slice(place.startOffset, place.endOffset)
    const at = raw.indexOf(value)
    // A value written with character references has no simple place; it is left alone.
    if (value === '' || at === -1) continue
    const start = place.startOffset + at
    if (name === 'style') found.push(...shifted(readCssColors(value, 'declarationList'), start))
    else if (COLOR_ATTRIBUTES.has(name) && colorOf(value) && value.trim() === value) {
      found.push({ start, text: value, property: name, paints: paintsOf(name) })
    }
  }
}
