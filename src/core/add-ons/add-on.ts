import type { PaintedAs } from '../roles'

/** A colour among the settings of an add-on. */
export interface AddOnColor {
  readonly label: string
  readonly paints: PaintedAs
  /** What it comes with, as any add-on does that knows nothing of the site. */
  readonly initial: string
  /** The setting whose colour lies under it, where it has to be readable. */
  readonly on?: string
}

/** Words, or one of several choices, among the settings of an add-on. */
export interface AddOnText {
  readonly label: string
  readonly initial: string
  readonly options?: ReadonlyArray<readonly [value: string, words: string]>
}

/** Writes a text of the settings as markup. */
export type Write = (key: string) => string

/** Where on every page a part of an add-on is drawn: above the header, below all bands, or over a corner. */
export type AddOnSpot = 'above' | 'below' | 'corner'

/** A page that an add-on brings along, outside of the site. */
export interface AddOnPage {
  readonly title: string
  readonly html: (write: Write) => string
}

/**
 * A kind of add-on: a service from elsewhere with settings of its own, which the site shows but
 * does not paint. Its colours are custom properties by the names of their settings.
 */
export interface AddOnKind {
  readonly label: string
  /** What it is and where it shows, in a sentence. */
  readonly told: string
  readonly colors: Readonly<Record<string, AddOnColor>>
  readonly texts: Readonly<Record<string, AddOnText>>
  readonly css: string
  readonly spots: Readonly<Partial<Record<AddOnSpot, (write: Write) => string>>>
  readonly pages: Readonly<Record<string, AddOnPage>>
}

/** The custom property that a colour of the settings is written as. */
export const settingProperty = (key: string): string => `--${key.replaceAll('.', '-')}`
