import { textLines } from '../css'
import type { ContentOf } from '../elements'
import type { Frame, Page } from '../site'
import {
  readUnreadColors,
  unreadInAddress,
  type UnreadInCss,
  type UnreadReader,
} from './css-reader'
import { readSnippetTexts } from './snippet-reader'

/** Something that a sweep leaves alone because it cannot be read exactly. */
export interface Unread {
  /** Where it stands, in words. */
  readonly label: string
  /** What stands there, as much of it as tells it from others. */
  readonly text: string
  readonly why: UnreadInCss['why'] | 'file-gone'
}

/** Longest stretch that is told, in UTF-16 units. */
const MOST_TEXT = 80

function textOf(text: string): string {
  const line = text.replaceAll(/\s+/g, ' ')
  return line.length > MOST_TEXT ? `${line.slice(0, MOST_TEXT)}…` : line
}

/** What is unread in a text of many lines, each with the line on which it begins. */
function byLine(name: string, text: string, unread: readonly UnreadInCss[]): Unread[] {
  const lines = textLines(text)
  return unread.map(({ start, text: own, why }) => ({
    label: `${name}, line ${lines.lineAt(start)}`,
    text: textOf(own),
    why,
  }))
}

/** What cannot be read exactly in the custom CSS of a site, pictures in its addresses included. */
export const unreadInStylesheet = (css: string, pictures?: UnreadReader): Unread[] =>
  byLine('Custom CSS', css, readUnreadColors(css, 'stylesheet', pictures))

/** The same in the file of a vector picture. */
export const unreadInPicture = (name: string, svg: string, read: UnreadReader): Unread[] =>
  byLine(name, svg, read(svg))

/** The same in the snippets of a page, or of header and footer. */
export function unreadInSnippets(
  { body, ...of }: Frame | Page,
  pictures: UnreadReader = () => [],
): Unread[] {
  return Object.values(body.elements).flatMap(({ kind, content }) => {
    if (kind !== 'embed') return []
    const { html, name } = content as ContentOf<'embed'>
    const label = 'title' in of ? `${of.title}, ${name}` : name
    return readSnippetTexts(html)
      .flatMap(({ as, attribute, text: source }) => {
        const { text } = source
        if (as === 'style') return readUnreadColors(text, 'declarationList', pictures)
        if (as === 'picture') return unreadInAddress(source, pictures)
        if (as !== 'paint') return []
        return readUnreadColors(`${attribute}:${text}`, 'declarationList', pictures)
      })
      .map(({ text, why }) => ({ label, text: textOf(text), why }))
  })
}
