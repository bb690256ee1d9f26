import { textLines } from '../../css'
import { readCssColors } from '../css-reader'
import type { PictureReader } from '../held-pictures'
import type { Use } from '../use'
import type { PlaceReader } from './reading'
import { textPart } from './text-part'
import { textUse } from './text-use'

export const readCustomCss: PlaceReader = ({ frame, pictures }) =>
  frame ? [textPart(frame.customCss, 'custom-css', stylesheetUses(frame.customCss, pictures))] : []

/** The stylesheet that was read last: most changes of a frame leave it as it is. */
let lastRead: {
  readonly css: string
  readonly pictures?: PictureReader
  readonly uses: Use[]
} = { css: '', uses: [] }

function stylesheetUses(css: string, pictures: PictureReader): Use[] {
  if (css === lastRead.css && pictures === lastRead.pictures) return lastRead.uses
  const lines = textLines(css)
  const uses = readCssColors(css, 'stylesheet', pictures).flatMap((find) => {
    const line = lines.lineAt(find.start)
    return textUse(lines, find, {
      place: 'custom-css',
      object: 'stylesheet',
      doc: 'frame',
      path: ['customCss'],
      label: `line ${line}`,
      owner: { line },
    })
  })
  lastRead = { css, pictures, uses }
  return uses
}
