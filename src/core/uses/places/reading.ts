import type { DocId, Frame, Page } from '../../site'
import type { Use } from '../use'

/** What a reader is given: one document, the frame or a page. */
export type Reading =
  | { readonly doc: DocId; readonly frame: Frame; readonly page?: undefined }
  | { readonly doc: DocId; readonly page: Page; readonly frame?: undefined }

/**
 * The uses that one thing decides. Where the thing, what else its uses follow
 * from, and their number are the same, so are the uses: they are read when they
 * are asked for, and only what changed need be.
 */
export interface UsePart {
  readonly of: unknown
  readonly from: string
  readonly count: number
  readonly uses: () => readonly Use[]
}

/** The reader of one place where a colour can hide. */
export type PlaceReader = (reading: Reading) => readonly UsePart[]
