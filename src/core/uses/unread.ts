import { textLines } from '../css'
import type { ContentOf } from '../elements'
import type { Frame, Page } from '../site'
import { readUnreadColors, type UnreadInCss } from './css-reader'
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

/** What cannot be read exactly in the custom CSS of a site. */
export function unreadInStylesheet(css: string): Unread[] {
  const lines = textLines(css)
  return readUnreadColors(css, 'stylesheet').map(({ start, text, why }) => ({
    label: `Custom CSS, line ${lines.lineAt(start)}`,
    text: textOf(text),
    why,
  }))
}

/** The same in the snippets of a page, or of header and footer. */
export function unreadInSnippets({ body, ...of }: Frame | Page): Unread[] {
  return Object.values(body.elements).flatMap(({ kind, content }) => {
    if (kind !== 'embed') return []
    const { html, name } = content as ContentOf<'embed'>
    return readSnippetTexts(html)
      .filter(({ as }) => as === 'style')
      .flatMap(({ text }) => readUnreadColors(text.text, 'declarationList'))
      .map(({ text, why }) => ({
        label: 'title' in of ? `${of.title}, ${name}` : name,
        text: textOf(text),
        why,
      }))
  })
}
