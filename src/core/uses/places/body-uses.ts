import { kindOf, propertiesOf } from '../../elements'
import type { Body, DocId, Section, SiteElement } from '../../site'
import type { Use } from '../use'
import { countLookUses, lookUses } from './decision-use'
import type { PlaceId } from './names'
import type { ReadingOfBody, UsePart } from './reading'

const shorten = (words: string) => (words.length > 32 ? `${words.slice(0, 31).trimEnd()}…` : words)

/** Where a body lies. */
interface Where {
  readonly place: PlaceId
  readonly doc: DocId
  readonly page: string
}

function sectionUses({ place, doc, page }: Where, { id, name, looks }: Section): Use[] {
  return lookUses(looks, propertiesOf('section'), {
    place,
    doc,
    path: ['body', 'sections', id, 'looks'],
    object: 'section',
    label: [page, name, 'section'].filter(Boolean).join(', '),
    owner: { section: id },
  })
}

/** An element in words, on the page of this title where it is on one. */
export function labelOfElement(page: string, { kind: id, content }: SiteElement): string {
  const kind = kindOf(id)
  const title = `${kind.label.toLowerCase()} “${shorten(kind.title(content))}”`
  return page ? `${page}, ${title}` : title
}

function elementUses({ place, doc, page }: Where, element: SiteElement): Use[] {
  return lookUses(element.looks, propertiesOf(element.kind), {
    place,
    object: element.kind,
    doc,
    path: ['body', 'elements', element.id, 'looks'],
    label: labelOfElement(page, element),
    owner: { element: element.id },
  })
}

const readParts = new WeakMap<object, UsePart>()

/** The part of one thing; made once for as long as it stays the same object, in whichever state of its page. */
function partOf<T extends object>(
  thing: T,
  from: string,
  count: () => number,
  read: () => Use[],
): UsePart {
  const known = readParts.get(thing)
  if (known?.from === from) return known
  let uses: Use[] | undefined
  const part = { of: thing, from, count: count(), uses: () => (uses ??= read()) }
  readParts.set(thing, part)
  return part
}

/** What the sections and elements of a document decide. */
export function bodyUses(place: PlaceId, { doc, page }: ReadingOfBody, body: Body): UsePart[] {
  const where: Where = { place, doc, page: page ? page.title : '' }
  const from = `${place} ${doc} ${where.page}`
  const sections = Object.values(body.sections).map((section) =>
    partOf(
      section,
      from,
      () => countLookUses(section.looks, propertiesOf('section')),
      () => sectionUses(where, section),
    ),
  )
  const elements = Object.values(body.elements).map((element) =>
    partOf(
      element,
      from,
      () => countLookUses(element.looks, propertiesOf(element.kind)),
      () => elementUses(where, element),
    ),
  )
  return [...sections, ...elements].filter(({ count }) => count > 0)
}
