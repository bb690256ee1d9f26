import type { DocId, Frame, Page, Picture } from '../../site'
import type { PictureReader } from '../held-pictures'
import type { Use } from '../use'

interface Anything {
  /** Reads the vector pictures that texts hold. */
  readonly pictures: PictureReader
}

interface OfFrame extends Anything {
  readonly doc: DocId
  readonly frame: Frame
  readonly page?: undefined
  readonly picture?: undefined
  readonly svg?: undefined
}

interface OfPage extends Anything {
  readonly doc: DocId
  readonly page: Page
  readonly frame?: undefined
  readonly picture?: undefined
  readonly svg?: undefined
}

interface OfPicture extends Anything {
  readonly picture: Picture
  /** The text of its file. */
  readonly svg: string
  readonly frame?: undefined
  readonly page?: undefined
}

/** A record in which sections stand. */
export type ReadingOfBody = OfFrame | OfPage

/** What a reader is given: one record, whose own text may tell less than what it names. */
export type Reading = ReadingOfBody | OfPicture

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
