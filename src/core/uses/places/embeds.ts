import { textLines } from '../../css'
import type { ContentOf } from '../../elements'
import { readSnippetColors } from '../snippet-reader'
import type { PlaceReader } from './reading'
import { textUse } from './text-use'

export const readEmbeds: PlaceReader = ({ frame, doc, page }) =>
  Object.values((page ?? frame).body.elements).flatMap((element) => {
    if (element.kind !== 'embed') return []
    const { html, name } = element.content as ContentOf<'embed'>
    const lines = textLines(html)
    return readSnippetColors(html).flatMap((find) =>
      textUse(lines, find, {
        place: 'embeds',
        object: 'embed',
        doc,
        path: ['body', 'elements', element.id, 'content', 'html'],
        label: `${page ? `${page.title}, ` : ''}${name}`,
        owner: { element: element.id, line: lines.lineAt(find.start) },
      }),
    )
  })
