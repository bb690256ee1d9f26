import type { EditProblem } from '../edit'

/** What can be expected to go wrong, as data; the words for it stand in the interface. */
export type Problem =
  | { readonly code: 'not-found' }
  | { readonly code: 'forbidden' }
  | { readonly code: 'stale'; readonly revision: number }
  | { readonly code: 'edit-refused'; readonly problem: EditProblem; readonly clientId: string }
  | { readonly code: 'nothing-to-undo' }
  | { readonly code: 'nothing-to-redo' }
  | { readonly code: 'nothing-to-sweep' }
  | { readonly code: 'nothing-to-copy' }
  | { readonly code: 'not-published' }
  /** The request itself was at fault; `where` names the first part that was. */
  | { readonly code: 'not-json' }
  | { readonly code: 'too-large' }
  | { readonly code: 'invalid'; readonly where: string; readonly what: string }
  | { readonly code: 'foreign-origin' }
  /** The database did not answer; nothing was stored. */
  | { readonly code: 'database-away' }
  | { readonly code: 'unexpected' }

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem }

export const done = <T>(value: T): Result<T> => ({ ok: true, value })
export const refused = (problem: Problem): { readonly ok: false; readonly problem: Problem } => ({
  ok: false,
  problem,
})
