import { textLines } from '../../css'
import type { PlaceReader } from './reading'
import { textPart } from './text-part'
import { textUse } from './text-use'

/** Where a use in a vector picture stands: in the text of its file, which the record does not hold. */
export const pathOfText = ['file', 'text'] as const

/** What a vector picture paints with, in its file: where that refers to slots, it is shown with what they come to. */
export const readPictures: PlaceReader = ({ picture, svg, pictures }) => {
  if (!picture) return []
  const lines = textLines(svg)
  const uses = pictures(svg).flatMap((find) =>
    textUse(lines, find, {
      place: 'pictures',
      object: 'picture',
      doc: picture.id,
      path: [...pathOfText],
      label: picture.fileName,
      owner: { picture: picture.id },
    }),
  )
  return [textPart(picture, 'pictures', uses)]
}
