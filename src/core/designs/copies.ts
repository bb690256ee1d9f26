import { kindClass } from '../elements'
import {
  childrenOf,
  elementSchema,
  sectionSchema,
  type Body,
  type ElementId,
  type Section,
  type SiteElement,
} from '../site'

/** Makes ids that no section or element ever had, given what they are for. */
export type NewId = (stem: string) => string

/** Elements that go together: those on top, and all with what stands in them. */
export interface Copied {
  readonly top: readonly ElementId[]
  readonly elements: readonly SiteElement[]
}

/** The same elements once more, with all that stands in them and ids of their own. */
export function copyElements(body: Body, ids: readonly ElementId[], newId: NewId): Copied {
  const elements: SiteElement[] = []
  const copy = (element: SiteElement): ElementId => {
    const children = element.children && childrenOf(body, element.children).map(copy)
    const again = elementSchema.parse({
      ...element,
      id: newId(kindClass(element.kind)),
      ...(children ? { children } : {}),
    })
    elements.push(again)
    return again.id
  }
  return { top: childrenOf(body, ids).map(copy), elements }
}

/** The same section once more, with all that stands in it. */
export function copySection(
  body: Body,
  section: Section,
  newId: NewId,
): { readonly section: Section; readonly elements: readonly SiteElement[] } {
  const { top, elements } = copyElements(body, section.children, newId)
  const again = sectionSchema.parse({ ...section, id: newId('section'), children: top })
  return { section: again, elements }
}
