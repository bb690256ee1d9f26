import { kindOf, sectionFacets } from '../../elements'
import type { Body, DocId, SiteElement } from '../../site'
import type { Use } from '../use'
import { facetUses } from './decision-use'
import type { PlaceId } from './names'
import type { Reading } from './reading'

const shorten = (words: string) => (words.length > 32 ? `${words.slice(0, 31).trimEnd()}…` : words)

/** What the sections and elements of a document decide. */
export function bodyUses(place: PlaceId, { doc, page }: Reading, body: Body): Use[] {
  const where = page ? page.title : ''
  const told = (name: string, what: string) => [where, name, what].filter(Boolean).join(', ')
  const uses: Use[] = []
  for (const section of Object.values(body.sections)) {
    const base = { place, doc, path: ['body', 'sections', section.id, 'colors'] }
    const owner = { section: section.id }
    uses.push(
      ...facetUses(section.colors, sectionFacets, {
        ...base,
        object: 'section',
        label: told(section.name, 'section'),
        owner,
      }),
    )
  }
  for (const element of Object.values(body.elements)) {
    if (element.colors) uses.push(...elementUses(place, doc, where, element))
  }
  return uses
}

interface ReadElement {
  /** What else than the element its uses follow from. */
  readonly from: string
  readonly uses: readonly Use[]
}
const readElements = new WeakMap<SiteElement, ReadElement>()

/** The uses of one element; read once for as long as it stays the same object, in whichever state of its page. */
function elementUses(
  place: PlaceId,
  doc: DocId,
  where: string,
  element: SiteElement,
): readonly Use[] {
  const from = `${place} ${doc} ${where}`
  const known = readElements.get(element)
  if (known?.from === from) return known.uses
  const kind = kindOf(element.kind)
  const title = `${kind.label.toLowerCase()} “${shorten(kind.title(element.content))}”`
  const uses = facetUses(element.colors, kind.facets, {
    place,
    object: element.kind,
    doc,
    path: ['body', 'elements', element.id, 'colors'],
    label: where ? `${where}, ${title}` : title,
    owner: { element: element.id },
  })
  readElements.set(element, { from, uses })
  return uses
}
