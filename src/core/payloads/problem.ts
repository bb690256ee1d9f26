import type { EditProblem } from '../edit'

/** What can be expected to go wrong, as data; the words for it stand in the interface. */
/** Why a file is no picture that can be taken. */
export type PictureFault =
  | 'not-a-picture'
  | 'cut-short'
  | 'too-many-pixels'
  | 'unclean-vector'
  /** It is drawn, not made of pixels: a sweep changes its colours where they are written. */
  | 'vector'
  /** Nothing in it is of the hue that is looked for. */
  | 'no-such-hue'

/** Why a file is no font that can be taken. */
export type FontFault =
  | 'not-a-font'
  | 'collection'
  | 'broken'
  | 'no-letters'
  | 'too-large-inside'
  | 'forbidden'
  | 'print-only'
  /** A letter of it has more points than programs draw, or it takes too long to read. */
  | 'too-complex'
  /** Too many files are being read at the same time. */
  | 'busy'

/** Why a file is no archive of a site that can be taken. */
export type ArchiveFault =
  | 'not-an-archive'
  | 'incomplete'
  | 'tampered'
  | 'newer'
  | 'foreign'
  | 'too-large'
  | 'picture'
  /** A font in it cannot be read, or its rights forbid embedding. */
  | 'font'
  /** It takes longer to read than any site does. */
  | 'too-long'
  /** Too many files are being read at the same time. */
  | 'busy'
  /** A file of the site is no longer in the file store, so no archive of it is made. */
  | 'file-gone'

export type Problem =
  | { readonly code: 'not-found' }
  | { readonly code: 'forbidden' }
  | { readonly code: 'stale'; readonly revision: number }
  | { readonly code: 'edit-refused'; readonly problem: EditProblem; readonly clientId: string }
  /** An edit that cannot be taken back by itself: it was undone, or the state before it was not kept. */
  | { readonly code: 'not-kept'; readonly told: string }
  /** Of what an edit did, some was changed since: `labels` are the first of those, `of` could be taken back. */
  | {
      readonly code: 'touched'
      readonly count: number
      readonly of: number
      readonly labels: readonly string[]
    }
  | { readonly code: 'nothing-to-undo' }
  | { readonly code: 'nothing-to-redo' }
  /** What a change was made of no longer fits the site, so it is not taken back or brought again. */
  | { readonly code: 'step-unfit'; readonly kind: 'undo' | 'redo'; readonly told: string }
  /** What came before was made in a shape of the site that cannot be gone back to. */
  | { readonly code: 'history-closed' }
  | { readonly code: 'nothing-to-sweep' }
  /** What was seen before saying yes no longer holds: `since` are the changes that came after it, the newest first. */
  | {
      readonly code: 'moved-on'
      readonly expected: number
      readonly now: number
      readonly since: readonly string[]
    }
  /** A long piece of work was broken off, by a person or because it could not come to an end. */
  | { readonly code: 'cancelled' }
  /** A dry run that is no longer kept. */
  | { readonly code: 'plan-gone' }
  /** A site has so many pages that checking all of them takes too long, or too many are checked at once. */
  | { readonly code: 'too-much-to-check' }
  | { readonly code: 'nothing-to-copy' }
  | { readonly code: 'own-site' }
  /** A site is removed by its name, and another one was given. */
  | { readonly code: 'other-name' }
  /** Another recipe is kept under that name. */
  | { readonly code: 'recipe-named' }
  /** As many recipes are kept as there can be. */
  | { readonly code: 'recipes-full' }
  /** Another livery is kept under that name. */
  | { readonly code: 'livery-named' }
  /** As many liveries are kept as there can be. */
  | { readonly code: 'liveries-full' }
  | { readonly code: 'not-published' }
  /** What was published is no longer where it was put. */
  | { readonly code: 'publication-gone' }
  /** Files could not be written; `why` says what the folder or the disk is. */
  | { readonly code: 'storage'; readonly why: 'full' | 'read-only' | 'other' }
  | { readonly code: 'picture'; readonly why: PictureFault }
  | { readonly code: 'font'; readonly why: FontFault }
  | { readonly code: 'archive'; readonly why: ArchiveFault }
  /** What is stored has a form that this version does not know. */
  | { readonly code: 'unreadable' }
  /** The request itself was at fault; `where` names the first part that was. */
  | { readonly code: 'not-json' }
  | { readonly code: 'too-large' }
  | { readonly code: 'too-deep' }
  | { readonly code: 'too-slow' }
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
