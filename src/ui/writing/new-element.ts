import { withContentAt, type ContentPath } from '@/core/edit'
import { kindClass, type KindId, type Runs } from '@/core/elements'
import { elementSchema, type SiteElement } from '@/core/site'
import { newId } from '../new-id'

/** Running text that goes on behind an element; in the same style where it is of the same kind. */
export const textAfter = (element: SiteElement, kind: KindId, runs: Runs): SiteElement =>
  elementSchema.parse({
    id: newId(kindClass(kind)),
    kind,
    ...(element.style && kind === element.kind ? { style: element.style } : {}),
    content: { runs },
  })

/** The same element once more, with other words at a place, and nothing in it. */
export function againWith(element: SiteElement, at: ContentPath, words: Runs | string) {
  const { children: _none, ...rest } = element
  const content = withContentAt(element.content, at, words)
  return elementSchema.parse({ ...rest, id: newId(kindClass(element.kind)), content })
}
