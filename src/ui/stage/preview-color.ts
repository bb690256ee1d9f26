import { cssProperty, type Facet } from '@/core/elements'
import type { Selection } from '../editor'
import { selectedNode } from './hit-test'
import { stageStore } from './stage-access'

/**
 * Shows a colour of an element on the stage for as long as one is pointed at;
 * without one, its own again. Parts that are no nodes, such as hints, are left.
 */
export function previewColor(at: Selection, facet: Facet, color: string | undefined): void {
  const { stage } = stageStore.getState()
  const holder = stage && selectedNode(stage.document, at)
  if (!holder || facet.pseudo) return
  const nodes = facet.part ? holder.querySelectorAll<HTMLElement>(`.${facet.part}`) : [holder]
  for (const { style } of nodes) {
    if (color) style.setProperty(cssProperty(facet), color, 'important')
    else style.removeProperty(cssProperty(facet))
  }
}
