import { fontNamesIn, surveyCss, textLines } from '../css'
import type { UsePath } from '../uses'
import { writeFamily, type Piece, type Spot } from './spot'

/** A stretch of CSS that says just what it is read as; one that is written with escapes is left alone. */
function pieceOf(
  path: UsePath,
  css: string,
  { start: from, end: to }: { readonly start: number; readonly end: number },
  read: string,
  write: Piece['write'],
): Piece[] {
  const at = css.slice(from, to).indexOf(read)
  if (read === '' || at < 0) return []
  const start = from + at
  return [
    {
      path,
      source: css,
      text: { text: read, sourceAt: (index) => start + index },
      write,
    },
  ]
}

/** What custom CSS loads, and the typefaces that it names. */
export function cssSpots(path: UsePath, css: string): Spot[] {
  if (css === '') return []
  const lines = textLines(css)
  const spot = (sort: Spot['sort'], property: string, at: number, pieces: Piece[]): Spot[] => {
    const line = lines.lineAt(at)
    return pieces.length === 0
      ? []
      : [
          {
            sort,
            place: 'custom-css',
            doc: 'frame',
            object: 'stylesheet',
            property,
            label: `line ${line}`,
            owner: { line },
            pieces,
          },
        ]
  }
  return [
    ...surveyCss(css).addresses.flatMap((found) =>
      found.address === undefined
        ? []
        : spot('address', 'url', found.start, pieceOf(path, css, found, found.address, encodeURI)),
    ),
    ...fontNamesIn(css).flatMap((found) =>
      spot(
        'font',
        'font-family',
        found.start,
        pieceOf(path, css, found, found.name, writeFamily(found.isQuoted)),
      ),
    ),
  ]
}
