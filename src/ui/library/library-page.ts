import { fromReady, type ReadySection } from '@/core/designs/sections'
import {
  pageSchema,
  pageVersion,
  sectionsInOrder,
  type Body,
  type Frame,
  type Page,
  type PageId,
  type Section,
  type ThemeId,
} from '@/core/site'

/** The page that the library is drawn as. */
export const libraryId = 'library' as PageId

/** Sections of ours as a page of the site, so that they are drawn as they would be in it. */
export function libraryPage(
  sections: readonly ReadySection[],
  theme: ThemeId,
  pictures: readonly string[],
): Page {
  let count = 0
  const laid = sections.map((ready) =>
    fromReady(ready, theme, pictures, (stem) => {
      count += 1
      return stem === 'section' ? `ready-${ready.id}` : `${stem}-${count}`
    }),
  )
  return pageOf({
    order: laid.map(({ section }) => section.id),
    sections: Object.fromEntries(laid.map(({ section }) => [section.id, section])),
    elements: Object.fromEntries(
      laid.flatMap(({ elements }) => elements.map((element) => [element.id, element] as const)),
    ),
  })
}

/** Parts of the site, one under the other. */
export const partsPage = (parts: readonly Section[]): Page =>
  pageOf({ order: parts.map(({ id }) => id), sections: {}, elements: {} })

const pageOf = (body: Body): Page =>
  pageSchema.parse({
    schema: pageVersion,
    id: libraryId,
    order: 'a0',
    title: 'Sections',
    path: 'library',
    description: '',
    body,
  })

/** The bands among the parts of a site; what is hidden can be chosen as well. */
export function bandsToPlace({ body }: Frame): Body {
  const bands = sectionsInOrder(body).filter(({ kind }) => kind === 'band')
  const shown = bands.map(({ hidden: _hidden, ...section }) => section)
  return {
    ...body,
    order: shown.map(({ id }) => id),
    sections: Object.fromEntries(shown.map((section) => [section.id, section])),
  }
}
