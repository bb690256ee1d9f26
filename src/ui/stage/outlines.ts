import { coloredIn, facetsOf, spotsOnPage, traceFacet, type ColoredThing } from '@/core/resolve'
import { bodyOf, type PageId, type SiteDocs, type SlotId } from '@/core/site'
import { kindOf } from '@/core/elements'
import type { Selection } from '../editor'
import { selectedNode } from './hit-test'

export interface Box {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

export function boxOf(node: Element): Box {
  const { left, top, width, height } = node.getBoundingClientRect()
  return { x: left, y: top, width, height }
}

/** The boxes of all that a slot colours on this page, at rest or under the pointer. */
export function boxesOfSlot(stage: Document, docs: SiteDocs, pageId: PageId, slot: SlotId): Box[] {
  const boxes: Box[] = []
  for (const spot of spotsOnPage(docs, pageId)) {
    const { doc, section } = spot
    const isUsed = ({ element, facet }: ColoredThing) =>
      (['rest', 'hover'] as const).some(
        (state) => traceFacet(spot, element, facet, state).slot === slot,
      )
    const elements = coloredIn(spot).filter(isUsed)
    for (const id of new Set(elements.map(({ element }) => element?.id))) {
      const node = selectedNode(stage, { doc, section: section.id, element: id })
      if (node) boxes.push(boxOf(node))
    }
  }
  return boxes
}

/** What a selection is, in a few words: `Main button · fill`. */
export function selectionLabel(
  docs: SiteDocs,
  { doc, section, element, facet }: Selection,
): string {
  const body = bodyOf(docs, doc)
  const found = element ? body?.elements[element] : undefined
  const colored = facetsOf(found).find(({ key }) => key === facet)?.label ?? ''
  const name = found ? kindOf(found.kind).label : (body?.sections[section]?.name ?? '')
  return `${name} · ${colored.toLowerCase()}`
}
