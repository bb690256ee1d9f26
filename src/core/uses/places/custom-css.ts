import { textLines } from '../../css'
import { readCssColors } from '../css-reader'
import type { Use } from '../use'
import type { PlaceReader } from './reading'
import { textPart } from './text-part'
import { textUse } from './text-use'

export const readCustomCss: PlaceReader = ({ frame }) =>
  frame ? [textPart(frame.customCss, 'custom-css', stylesheetUses(frame.customCss))] : []

/** The stylesheet that was read last: most changes of a frame leave it as it is. */
let lastRead: { readonly css: string; readonly uses: Use[] } = { css: '', uses: [] }

function stylesheetUses(css: string): Use[] {
  if (css === lastRead.css) return lastRead.uses
  const lines = textLines(css)
  const uses = readCssColors(css, 'stylesheet').flatMap((find) => {
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
  lastRead = { css, uses }
  return uses
}
