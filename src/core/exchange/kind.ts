import type { Page, Picture } from '../site'
import type { Spot, SpotSort } from './spot'

/** A stretch of a spot, in the text as it is read, and what comes in its place. */
export interface Found {
  readonly start: number
  readonly end: number
  readonly after: string
  /** False where it stays as it is, and that is told: a snippet cannot refer to what would come there. */
  readonly fits?: false
}

/** What is known of the site before any text of it is read: its pictures and pages, by their ids. */
export interface KnownOfSite {
  readonly pictures: Readonly<Record<string, Pick<Picture, 'fileName'>>>
  readonly pages: Readonly<Record<string, Pick<Page, 'title'>>>
}

/** Why an exchange cannot be made, whatever the site holds. */
export type ExchangeFault =
  /** Nothing is looked for. */
  | 'nothing-sought'
  /** What is looked for and what comes in its place are the same. */
  | 'same-thing'
  /** What comes in its place is none of its sort: no address, no target of a link. */
  | 'no-target'
  /** A page, picture or add-on that is not there. */
  | 'target-gone'

export interface ExchangeRequest {
  readonly of: string
  readonly from: string
  readonly to: string
}

/** One sort of thing that is exchanged wherever it stands. */
export interface ExchangeKind<Request extends ExchangeRequest> {
  readonly of: Request['of']
  /** The sorts of text that it looks through. */
  readonly sorts: readonly SpotSort[]
  readonly faultOf: (request: Request, known: KnownOfSite) => ExchangeFault | undefined
  /** Finds its stretches in a spot of one of its sorts, the first first, none over another. */
  readonly finder: (request: Request, known: KnownOfSite) => (spot: Spot) => Found[]
  /**
   * A pattern that the stored text (JSON) of every record with a find matches, whatever the case
   * of its letters: an extended regular expression of POSIX. Absent where there is none.
   */
  readonly pattern: (request: Request, known: KnownOfSite) => string | undefined
}

export const defineExchange = <Request extends ExchangeRequest>(
  kind: ExchangeKind<Request>,
): ExchangeKind<Request> => kind

/** A pattern of POSIX for a text as JSON holds it. */
export const inJson = (text: string): string => {
  const written = JSON.stringify(text).slice(1, -1)
  return written.replaceAll(/[\\^$.*+?()[\]{}|]/g, '\\$&')
}

/** All of a spot, where it is just this. */
export const wholly = (text: string, from: string, after: string): Found[] =>
  text === from ? [{ start: 0, end: text.length, after }] : []
