import { facetsOf, spotsOnPage } from '@/core/resolve'
import { bodyOf, walkSection, type PageId, type SiteDocs } from '@/core/site'
import { isSameThing, type Selection } from '../editor'

/** Everything on a page that has colours, in its order: each section, then what is in it. */
export function walkable(docs: SiteDocs, pageId: PageId): Selection[] {
  return spotsOnPage(docs, pageId).flatMap(({ doc, section }) => {
    const base = { doc, section: section.id }
    const found: Selection[] = [{ ...base, property: 'fill' }]
    walkSection(bodyOf(docs, doc)!, section, (element) => {
      const [first] = facetsOf(element)
      if (first) found.push({ ...base, element: element.id, property: first.key })
    })
    return found
  })
}

/** Where an arrow key leads: down and up to what is next, right and left to the next section. */
export function stepTo(
  all: readonly Selection[],
  from: Selection | undefined,
  key: string,
): Selection | undefined {
  if (key === 'Home') return all[0]
  if (key === 'End') return all.at(-1)
  const at = from ? all.findIndex((each) => isSameThing(each, from)) : -1
  const by = { ArrowDown: 1, ArrowUp: -1, ArrowRight: 1, ArrowLeft: -1 }[key]
  if (by === undefined) return undefined
  if (at < 0) return by > 0 ? all[0] : all.at(-1)
  if (key === 'ArrowDown' || key === 'ArrowUp') return all[at + by]
  const sections = all.filter(({ element }) => !element)
  const own = sections.findIndex(
    ({ doc, section }) => doc === from!.doc && section === from!.section,
  )
  // Left from within a section is its beginning first.
  return by < 0 && from!.element ? sections[own] : sections[own + by]
}
