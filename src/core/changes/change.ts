/** What a record is made of, as JSON. */
export type Json =
  null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json | undefined }

/** The way from the whole of a record to what is meant: member names, and positions in lists. */
export type ChangePath = ReadonlyArray<string | number>

/**
 * A member of a record that is exchanged. Without `from` it was not there before,
 * without `to` it is gone after; an empty path means the record itself.
 */
export interface MemberChange {
  readonly path: ChangePath
  readonly from?: Json
  readonly to?: Json
}

/**
 * A stretch of a text or of a list that is exchanged: at `at` (UTF-16 units, or
 * items) stands `out` before and `in` after.
 */
export interface StretchChange {
  readonly path: ChangePath
  readonly at: number
  readonly out: string | readonly Json[]
  readonly in: string | readonly Json[]
}

/** One change of a record. It says what it finds and what it leaves, so it can be gone both ways. */
export type Change = MemberChange | StretchChange

export const isStretch = (change: Change): change is StretchChange => 'at' in change

/** The same change the other way round. */
function turned(change: Change): Change {
  if (isStretch(change)) return { ...change, out: change.in, in: change.out }
  const { path, from, to } = change
  return {
    path,
    ...(to === undefined ? {} : { from: to }),
    ...(from === undefined ? {} : { to: from }),
  }
}

/** Changes that lead back. */
export function reversed(changes: readonly Change[]): Change[] {
  return changes.map(turned).reverse()
}
