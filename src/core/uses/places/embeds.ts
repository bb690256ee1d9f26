import { textLines } from '../../css'
import type { ContentOf } from '../../elements'
import type { SiteElement } from '../../site'
import { readSnippetColors } from '../snippet-reader'
import type { Use } from '../use'
import { textPart } from './text-part'
import type { PlaceReader, ReadingOfBody } from './reading'
import { textUse } from './text-use'

function embedUses(
  { doc, pictures }: ReadingOfBody,
  page: string,
  { id, content }: SiteElement,
): Use[] {
  const { html, name } = content as ContentOf<'embed'>
  const lines = textLines(html)
  return readSnippetColors(html, pictures).flatMap((find) =>
    textUse(lines, find, {
      place: 'embeds',
      object: 'embed',
      doc,
      path: ['body', 'elements', id, 'content', 'html'],
      label: page ? `${page}, ${name}` : name,
      owner: { element: id, line: lines.lineAt(find.start) },
    }),
  )
}

export const readEmbeds: PlaceReader = (reading) => {
  if (reading.picture) return []
  const { frame, page } = reading
  return Object.values((page ?? frame).body.elements).flatMap((element) => {
    if (element.kind !== 'embed') return []
    const title = page ? page.title : ''
    return [textPart(element, `embeds ${title}`, embedUses(reading, title, element))]
  })
}
