import type { FoundInCss } from './found-in-css'
import { inSource, Mapping, type SourceText } from './source-text'
import { readAddress, readCssColors, readValueColors } from './css-reader'
import { holdsSvg, noPictures, type PictureReader } from './held-pictures'

/**
 * A tag as a cleaned snippet has it (`core/markup`): names as they came, values in double quotes,
 * with four character references and no others.
 */
const TAG = /<[a-z][^\s<>"/]*((?: [^\s<>"=]+(?:="[^"]*")?)*) ?\/?>/gi
/** The same, and tags that close. */
const ANY_TAG = /<(?:\/[a-z][^<>]*|[a-z][^\s<>"/]*((?: [^\s<>"=]+(?:="[^"]*")?)*) ?\/?)>/gi
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

/** Attributes that people read, by sight or by a screen reader, and those that lead somewhere. */
const READ = new Set(['alt', 'title', 'placeholder', 'aria-label'])
const LEADS = new Set(['href'])
/** The attribute that holds a picture itself. */
const HOLDS = 'src'

/** A text in a snippet, as it is read. */
export interface SnippetText {
  readonly as: 'words' | 'link' | 'style' | 'paint' | 'picture'
  /** The attribute whose value it is; absent between tags. */
  readonly attribute?: string
  readonly text: SourceText
}

const kindOfAttribute = (name: string, value: string): SnippetText['as'] | undefined => {
  if (name === HOLDS) return holdsSvg(value) ? 'picture' : undefined
  if (name === 'style') return 'style'
  if (PRESENTATION.has(name)) return 'paint'
  if (LEADS.has(name)) return 'link'
  return READ.has(name) ? 'words' : undefined
}

/** What the attributes of a tag say, at their places in the snippet. */
function attributesOf(html: string, tag: RegExpExecArray): SnippetText[] {
  const found: SnippetText[] = []
  const attributes = tag[1] ?? ''
  const start = tag.index + tag[0].indexOf(attributes)
  for (const { 0: whole, 1: attribute, 2: value, index } of attributes.matchAll(ATTRIBUTE)) {
    const as = value ? kindOfAttribute(attribute!, value) : undefined
    if (!value || !as) continue
    const to = start + index + whole.length - 1
    found.push({ as, attribute: attribute!, text: valueAt(html, to - value.length, to) })
  }
  return found
}

/** The words, links, styles, paints and vector pictures of a snippet, which is stored clean; nothing of its markup. */
export function readSnippetTexts(html: string): SnippetText[] {
  const found: SnippetText[] = []
  let at = 0
  const words = (to: number) => {
    if (to > at) found.push({ as: 'words', text: valueAt(html, at, to) })
  }
  for (const tag of html.matchAll(ANY_TAG)) {
    words(tag.index)
    at = tag.index + tag[0].length
    for (const each of attributesOf(html, tag)) found.push(each)
  }
  words(html.length)
  return found
}

/** The colours of one attribute, at their places in the snippet. */
function colorsOf(
  html: string,
  { as, attribute = '', text }: SnippetText,
  pictures: PictureReader,
): FoundInCss[] {
  if (as === 'picture') return readAddress(html, text, attribute, pictures)
  if (as === 'style')
    return inSource(html, text, readCssColors(text.text, 'declarationList', pictures))
  if (as === 'paint') return inSource(html, text, readValueColors(text.text, attribute, pictures))
  return []
}

/** Every colour in a snippet, which is stored clean: in styles, paints and vector pictures that it holds itself, with exact places. */
export function readSnippetColors(
  html: string,
  pictures: PictureReader = noPictures,
): FoundInCss[] {
  const found: FoundInCss[] = []
  for (const tag of html.matchAll(TAG)) {
    for (const each of attributesOf(html, tag)) {
      for (const find of colorsOf(html, each, pictures)) found.push(find)
    }
  }
  return found
}
