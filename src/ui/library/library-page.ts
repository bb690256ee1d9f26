import { fromReady, type ReadySection } from '@/core/designs/sections'
import { pageSchema, pageVersion, type Page, type PageId, type ThemeId } from '@/core/site'

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
  return pageSchema.parse({
    schema: pageVersion,
    id: libraryId,
    order: 'a0',
    title: 'Sections',
    path: 'library',
    description: '',
    body: {
      order: laid.map(({ section }) => section.id),
      sections: Object.fromEntries(laid.map(({ section }) => [section.id, section])),
      elements: Object.fromEntries(
        laid.flatMap(({ elements }) => elements.map((element) => [element.id, element] as const)),
      ),
    },
  })
}
