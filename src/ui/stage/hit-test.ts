import type { Facet } from '@/core/elements'
import { facetsOf } from '@/core/resolve'
import { bodyOf, type ElementId, type SectionId, type SiteDocs } from '@/core/site'
import { NO_PROPERTY, type Selection } from '../editor'
import { docOfSection } from './stage-document'

/** What lies at a point of the stage (CSS pixels of the page): the colour that one would mean by pointing there. */
export function hitTest(
  stage: Document,
  docs: SiteDocs,
  x: number,
  y: number,
): { readonly selection: Selection; readonly target: Element } | undefined {
  const target = stage.elementFromPoint(x, y)
  const section = target?.closest('[data-section]')
  if (!target || !section) return undefined
  const doc = docOfSection(section)
  const base = { doc, section: section.getAttribute('data-section') as SectionId }
  const holder = target.closest('[data-el]')
  if (!holder) return { selection: { ...base, property: 'fill' }, target: section }
  const id = holder.getAttribute('data-el') as ElementId
  const element = bodyOf(docs, doc)?.elements[id]
  const facets = facetsOf(element)
  if (!element || facets.length === 0)
    return { selection: { ...base, property: 'fill' }, target: section }
  return {
    selection: { ...base, element: id, property: propertyAt(facets, target, holder) },
    target: holder,
  }
}

/** The colour that a node inside of an element shows: that of the innermost part around it; none where it is beside all parts. */
function propertyAt(facets: readonly Facet[], target: Element, holder: Element): string {
  const facetAt = (node: Element) =>
    facets.find(({ part }) => (part ? node.classList.contains(part) : node === holder))
  for (let node: Element | null = target; node; node = node.parentElement) {
    const facet = facetAt(node)
    if (facet) return facet.key
    if (node === holder) break
  }
  return NO_PROPERTY
}

/** The add-on that lies at a point of the stage, by its id: the site shows it and does not paint it. */
export function addOnAt(
  stage: Document,
  x: number,
  y: number,
): { readonly id: string; readonly target: Element } | undefined {
  const target = stage.elementFromPoint(x, y)?.closest('[data-add-on]')
  return target ? { id: target.getAttribute('data-add-on')!, target } : undefined
}

/** The box on the stage that stands for a selection. */
export function selectedNode(stage: Document, selection: Selection): HTMLElement | null {
  const sections = stage.querySelectorAll<HTMLElement>(
    `[data-section="${CSS.escape(selection.section)}"]`,
  )
  const section = [...sections].find((node) => docOfSection(node) === selection.doc)
  if (!section) return null
  if (!selection.element) return section
  return section.querySelector<HTMLElement>(`[data-el="${CSS.escape(selection.element)}"]`)
}
