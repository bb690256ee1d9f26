import type { ShownPicture } from '../elements'
import type { Font, Fonts, PageId, Picture, Pictures } from '../site'

/** Where things lie, seen from the page that is written. */
export interface Whereabouts {
  readonly pictures: Pictures
  readonly assetUrl: (id: string) => string
  readonly fontUrl: (file: string) => string
  /** The site’s own fonts, and the files that each lies in with the characters they are for. */
  readonly fonts?: Fonts
  readonly ownFont?: (
    font: Font,
  ) => ReadonlyArray<{ readonly url: string; readonly range?: string }>
  /** A picture in narrower widths, where there are files of it. */
  readonly narrower?: (picture: Picture) => ShownPicture['narrower']
  /** The address behind a link of the site; `page:shop` names a page by its id. */
  readonly link: (href: string) => string
  /** Whether the tags that hold words tell where in the content these lie, for those who edit them. */
  readonly marksWords?: boolean
  /** The edition that is written and where the same page lies in the other one, where visitors switch. */
  readonly twin?: { readonly edition: 'light' | 'dark'; readonly href: (page: PageId) => string }
}
