import type { DocId, Frame, Page } from '../../site'
import type { Use } from '../use'

/** What a reader is given: one document, the frame or a page. */
export type Reading =
  | { readonly doc: DocId; readonly frame: Frame; readonly page?: undefined }
  | { readonly doc: DocId; readonly page: Page; readonly frame?: undefined }

/** The reader of one place where a colour can hide. */
export type PlaceReader = (reading: Reading) => Use[]
