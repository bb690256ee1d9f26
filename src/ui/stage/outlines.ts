import {
  coloredIn,
  propertiesOfThing,
  spotsOnPage,
  traceFacet,
  type ColoredThing,
  type Spot,
} from '@/core/resolve'
import { bodyOf, type PageId, type SiteDocs, type SlotId } from '@/core/site'
import { kindOf } from '@/core/elements'
import type { Selection } from '../editor'
import { selectedNode } from './hit-test'
import { isOverruled, partsOf } from './overrule'
import type { StageAccess } from './stage-access'
import { unpointed } from './stage-document'

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

/** What of a thing a slot can be seen in, at rest or under the pointer: nothing that is clear, is not there, or is overruled. */
function partsWith(stage: StageAccess, spot: Spot, slot: SlotId, thing: ColoredThing) {
  const { element, facet } = thing
  const traces = (['rest', 'hover'] as const)
    .map((state) => traceFacet(spot, element, facet, state))
    // Under the pointer only what is decided for the pointer counts anew.
    .filter(({ state, chain, decidedBy }) => chain[decidedBy]!.state === state)
    .filter((trace) => trace.slot === slot && trace.color?.alpha !== 0)
  if (traces.length === 0) return []
  const where = {
    doc: spot.doc,
    section: spot.section.id,
    element: element?.id,
    property: facet.key,
  }
  const node = selectedNode(stage.document, where)
  const parts = node ? partsOf(node, facet) : []
  return parts.filter((part) => traces.some((trace) => !isOverruled(stage, part, trace)))
}

/** The boxes of all that shows a slot on this page. */
export function boxesOfSlot(
  stage: StageAccess,
  docs: SiteDocs,
  pageId: PageId,
  slot: SlotId,
): Box[] {
  const find = () =>
    spotsOnPage(docs, pageId).flatMap((spot) =>
      coloredIn(spot).flatMap((thing) => partsWith(stage, spot, slot, thing)),
    )
  // The pointer is taken away once for all of them.
  const parts = unpointed(stage.document, find)
  return [...new Set(parts)].map(boxOf)
}

/** What a selection is, in a few words: `Main button · fill`. */
export function selectionLabel(
  docs: SiteDocs,
  { doc, section, element, property }: Selection,
): string {
  const body = bodyOf(docs, doc)
  const found = element ? body?.elements[element] : undefined
  const told = propertiesOfThing(found).find(({ key }) => key === property)?.label ?? ''
  const name = found ? kindOf(found.kind).label : (body?.sections[section]?.name ?? '')
  return told ? `${name} · ${told.toLowerCase()}` : name
}
