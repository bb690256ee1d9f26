import type { Font, Picture } from '../site'

/** What comes from files and from elsewhere, as it is taken, and what of it is not kept. */

/** What of a snippet may stand in a page, and whether that is less than what was given. */
export interface CleanedSnippet {
  readonly html: string
  readonly loses: boolean
}

/** Largest font file that is taken, in bytes. */
export const mostFontBytes = 8_000_000

/** A font whose bytes are taken: what its record would say. */
export type TakenFont = Omit<Font, 'id' | 'schema'>

/** A picture whose bytes are taken: what its record would say, or the picture of the site that has them already, with a name that is free. */
export type TakenPicture = (
  | Pick<Picture, 'file' | 'fileName' | 'mediaType' | 'width' | 'height' | 'slots'>
  | { readonly known: Picture; readonly fileName: string }
) & {
  /** What stood in the file and is not kept, by the names of elements and attributes; nothing where all is. */
  readonly leftOut?: readonly string[]
}

/** Largest picture file that is taken, in bytes. */
export const mostPictureBytes = 25_000_000

/** A site by name, where nothing else of it is wanted. */
export interface SiteName {
  readonly id: string
  readonly name: string
}

/** What is not kept of something that was taken: by the names of elements and attributes. */
export interface LeftOut {
  /** What people call it: a picture by its file name, snippets by their page. */
  readonly of: string
  /** Empty where it is only known that something is not. */
  readonly what: readonly string[]
}

/** A site that was begun from an archive, with what of that is not kept. */
export interface BegunSite extends SiteName {
  readonly leftOut: readonly LeftOut[]
}
