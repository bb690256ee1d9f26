import { facetsOf } from '@/core/resolve'
import { bodyOf, type ElementId, type SectionId, type SiteDocs } from '@/core/site'
import type { Selection } from '../editor'
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
  const inPart = facets.find(
    ({ part }) => part && target.closest(`.${part}`) && holder.contains(target.closest(`.${part}`)),
  )
  const facet = inPart ?? facets.find(({ part }) => !part) ?? facets[0]!
  return { selection: { ...base, element: id, property: facet.key }, target: holder }
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
