import type { DocId, SectionId } from './ids'
import type { Frame } from './frame'
import { own } from './own'
import type { Page } from './page'
import { sectionsInOrder, type Section } from './section'

/** A section of a page or of the frame, as it stands on a page. */
export interface Standing {
  readonly doc: DocId
  readonly section: Section
}

/** What a page places: a section of its own, or a part of the site by its id. */
export type Placed<T> = T | { readonly kind: 'part'; readonly id: SectionId }

/**
 * Header, bands and footer of a page, top to bottom, out of the parts of the site and what the page places.
 * A header or footer of the page's own stands in place of the site's; a part that is gone stands nowhere.
 */
export function arranged<T extends { readonly kind: Section['kind']; readonly id: SectionId }>(
  parts: readonly T[],
  placed: ReadonlyArray<Placed<T>>,
): T[] {
  const ofPage = (kind: Section['kind']) => placed.filter((each): each is T => each.kind === kind)
  const ends = (kind: 'header' | 'footer') =>
    ofPage(kind).length > 0 ? ofPage(kind) : parts.filter((each) => each.kind === kind)
  const bands = placed.flatMap((each): T[] => {
    if (each.kind === 'band') return [each as T]
    if (each.kind !== 'part') return []
    return parts.filter(({ id, kind }) => kind === 'band' && id === each.id)
  })
  return [...ends('header'), ...bands, ...ends('footer')]
}

/** All that stands on a page, top to bottom, what is hidden as well. */
export function standingOn(frame: Frame, page: Page | undefined): Standing[] {
  const entry = (doc: DocId) => (section: Section) => ({
    doc,
    section,
    kind: section.kind,
    id: section.id,
  })
  const placed = (page?.body.order ?? []).map((id) => {
    const section = own(page!.body.sections, id)
    return section ? entry(page!.id)(section) : { kind: 'part' as const, id }
  })
  return arranged<Standing & Pick<Section, 'kind' | 'id'>>(
    sectionsInOrder(frame.body).map(entry('frame')),
    placed,
  )
}

/** The bands of the frame: the parts that pages may place. */
export const partsOf = (frame: Frame): Section[] =>
  sectionsInOrder(frame.body).filter(({ kind }) => kind === 'band')
