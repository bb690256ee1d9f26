import type { DocId, Frame, Page } from '../../site'
import type { PictureReader } from '../held-pictures'
import type { Use } from '../use'

interface OfSite {
  readonly doc: DocId
  /** Reads the vector pictures that texts hold. */
  readonly pictures: PictureReader
}

/** What a reader is given: one document, the frame or a page. */
export type Reading =
  | (OfSite & { readonly frame: Frame; readonly page?: undefined })
  | (OfSite & { readonly page: Page; readonly frame?: undefined })

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
