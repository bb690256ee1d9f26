import { readAddOns } from './add-ons'
import { readContent } from './content'
import { readCustomCss } from './custom-css'
import { readEmbeds } from './embeds'
import type { PlaceId } from './names'
import { readPalette } from './palette'
import { readPictures } from './pictures'
import type { PlaceReader } from './reading'
import { readShared } from './shared'
import { readStyles } from './styles'
import { readThemes } from './themes'

export type { PlaceReader, Reading, UsePart } from './reading'

/** The reader of every place, in the order in which a document is read. A new place is a file and a line here, and its name. */
export const places: Readonly<Record<PlaceId, PlaceReader>> = {
  themes: readThemes,
  styles: readStyles,
  content: readContent,
  shared: readShared,
  embeds: readEmbeds,
  'custom-css': readCustomCss,
  'add-ons': readAddOns,
  pictures: readPictures,
  palette: readPalette,
}
