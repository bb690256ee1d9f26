import { own, type Palette, type Picture, type SiteDocs } from '../site'
import { slotColorsOf, writeSlotColors } from './bound-picture'
import type { Whereabouts } from './whereabouts'

/** Pictures that are shown as a dry run would leave them, by the plan's id. */
export interface PlannedPictures {
  readonly plan: string
  readonly ids: ReadonlySet<string>
}

/** Where things lie for a page that the editor shows: links lead nowhere, all else lies where its server keeps it. */
export const inEditor = (
  siteId: string,
  { frame, pictures, fonts }: Pick<SiteDocs, 'frame' | 'pictures' | 'fonts'>,
  planned?: PlannedPictures,
): Whereabouts => ({
  pictures,
  fonts,
  ownFont: ({ file }) => [{ url: ownFontAddress(siteId, file) }],
  assetUrl: (id) => {
    const picture = own(pictures, id)
    if (!picture) return pictureAddress(siteId)(id)
    const address = shownPicture(siteId, frame.palette)(picture)
    return planned?.ids.has(id) ? `${address}&plan=${planned.plan}` : address
  },
  fontUrl: (file) => `/fonts/${file}`,
  link: () => '#',
  marksWords: true,
})

/**
 * Where the editor's server keeps a picture of a site. With the hash of its file it is another
 * address as soon as the file is another one, and answers before the site itself knows of it.
 */
export const pictureAddress =
  (siteId: string) =>
  (id: string, file?: string): string =>
    `/files/${siteId}/${id}${file ? `?file=${file}` : ''}`

/** The same of a picture as it is shown: in the colours of the slots that it follows. */
export const shownPicture =
  (siteId: string, palette: Palette) =>
  (picture: Pick<Picture, 'id' | 'file' | 'slots'>): string => {
    const address = pictureAddress(siteId)(picture.id, picture.file)
    const colors = writeSlotColors(slotColorsOf(picture, palette))
    return colors ? `${address}&slots=${colors}` : address
  }

/** Where the editor’s server keeps a font of a site, by the hash of its file. */
export const ownFontAddress = (siteId: string, file: string): string =>
  `/fonts-of/${siteId}/${file}`
