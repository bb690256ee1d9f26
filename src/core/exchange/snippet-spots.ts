import { fontNamesIn } from '../css'
import { readSnippetTexts, type SourceText, type UsePath } from '../uses'
import { writeFamily, writeHtml, type Piece, type Spot } from './spot'

/** A stretch of a text as a text of its own. */
const part = ({ sourceAt }: SourceText, from: number, read: string): SourceText => ({
  text: read,
  sourceAt: (index) => sourceAt(from + index),
})

/** The typefaces that a `style` attribute names. */
const fontsIn = (style: SourceText): Array<Pick<Piece, 'text' | 'write'>> =>
  fontNamesIn(style.text, 'declarationList').flatMap(({ start, end, name, isQuoted }) => {
    const at = style.text.slice(start, end).indexOf(name)
    if (at < 0) return []
    const inCss = writeFamily(isQuoted)
    return [
      { text: part(style, start + at, name), write: (read: string) => writeHtml(inCss(read)) },
    ]
  })

/** What a snippet says between its tags and in attributes that people read, where it leads, and the typefaces that it names. */
export function snippetSpots(
  of: Omit<Spot, 'sort' | 'pieces' | 'property'>,
  path: UsePath,
  html: string,
): Spot[] {
  const spot = (
    sort: Spot['sort'],
    property: string,
    text: SourceText,
    write: Piece['write'] = writeHtml,
  ): Spot => ({ ...of, sort, property, pieces: [{ path, source: html, text, write }] })
  return readSnippetTexts(html).flatMap(({ as, attribute = 'text', text }) => {
    if (as === 'paint' || as === 'picture') return []
    if (as !== 'style') return [spot(as, attribute, text)]
    return fontsIn(text).map((name) => spot('font', 'font-family', name.text, name.write))
  })
}
