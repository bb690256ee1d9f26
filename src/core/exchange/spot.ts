import type { DocId, PictureId } from '../site'
import type { SourceText, Use, UsePath } from '../uses'

/**
 * What a text is for: `words` are read by people, `link` says where something leads, `address`
 * is loaded by CSS, `font` names a typeface, `picture` is the id of one.
 */
export const spotSorts = ['words', 'link', 'address', 'font', 'picture'] as const
export type SpotSort = (typeof spotSorts)[number]

/** One text of a record in which a part of a spot is written. */
export interface Piece {
  readonly path: UsePath
  /** All that stands at the path. */
  readonly source: string
  /** What of it is the spot, as it is read. */
  readonly text: SourceText
  /** How something in its place would be written there. */
  readonly write: (read: string) => string
}

/**
 * A text that can be exchanged in some part, as it is read from one end to the other, though it
 * may be written in several pieces: running text is, wherever its looks change.
 */
export interface Spot extends Pick<Use, 'place' | 'object' | 'label' | 'owner'> {
  readonly sort: SpotSort
  readonly doc: DocId | PictureId
  /** What of the thing it is: a member of its content, a setting. */
  readonly property: string
  readonly pieces: readonly Piece[]
}

export const textOf = ({ pieces }: Spot): string => pieces.map(({ text }) => text.text).join('')

/** A text that stands as it is, as a whole. */
export const plainPiece = (path: UsePath, source: string): Piece => ({
  path,
  source,
  text: { text: source, sourceAt: (index) => index },
  write: (read) => read,
})

/** Text of HTML, between tags or in double quotes, as cleaned snippets have it. */
export const writeHtml = (read: string): string =>
  read
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')

/** A typeface within the quotation marks that stand there; its name has none itself. */
const writeQuoted = (family: string): string => family.replaceAll(/["'\\\n\r\f]/g, ' ')

/** A typeface where words stood without quotation marks: with them where it is no row of identifiers (CSS Fonts 4 § 2.1). */
const writeUnquoted = (family: string): string =>
  /^-?[a-z_][\w-]*(?: -?[a-z_][\w-]*)*$/i.test(family) ? family : `"${writeQuoted(family)}"`

export const writeFamily = (isQuoted: boolean) => (isQuoted ? writeQuoted : writeUnquoted)
