import type { FoundInCss } from './found-in-css'
import { inSource, Mapping, type SourceText } from './source-text'
import { readCssColors, readValueColors } from './css-reader'
import { noPictures, type PictureReader } from './held-pictures'

/**
 * A tag as a cleaned snippet has it (`core/markup`): names as they came, values in double quotes,
 * with four character references and no others.
 */
const TAG = /<[a-z][^\s<>"/]*((?: [^\s<>"=]+(?:="[^"]*")?)*) ?\/?>/gi
const ATTRIBUTE = / ([^\s<>"=]+)="([^"]*)"/g
const REFERENCES: Readonly<Record<string, string>> = {
  '&amp;': '&',
  '&lt;': '<',
  '&gt;': '>',
  '&quot;': '"',
}
/** Presentation attributes that a snippet may have; CSS reads them, `var()` included. */
const PRESENTATION = new Set(['fill', 'stroke'])

function valueAt(source: string, from: number, to: number): SourceText {
  const mapping = new Mapping(from)
  let at = from
  for (const part of source.slice(from, to).split(/(&(?:amp|lt|gt|quot);)/)) {
    mapping.add(REFERENCES[part] ?? part, at, at + part.length)
    at += part.length
  }
  return mapping.result()
}

/** Every colour in a snippet, which is stored clean: `style` and presentation attributes, with exact places. */
export function readSnippetColors(
  html: string,
  pictures: PictureReader = noPictures,
): FoundInCss[] {
  const found: FoundInCss[] = []
  for (const tag of html.matchAll(TAG)) {
    const attributes = tag[1]!
    const start = tag.index + tag[0].indexOf(attributes)
    for (const { 0: whole, 1: name, 2: value, index } of attributes.matchAll(ATTRIBUTE)) {
      if (!value || !(name === 'style' || PRESENTATION.has(name!))) continue
      const to = start + index + whole.length - 1
      const text = valueAt(html, to - value.length, to)
      const finds =
        name === 'style'
          ? readCssColors(text.text, 'declarationList', pictures)
          : readValueColors(text.text, name!, pictures)
      for (const find of inSource(html, text, finds)) found.push(find)
    }
  }
  return found
}
