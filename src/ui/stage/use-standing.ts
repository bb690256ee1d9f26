'use client'

import { useMemo } from 'react'
import { useStore } from 'zustand'
import type { Facet } from '@/core/elements'
import { traceFacet, varyingUnder, type Spot, type Standing } from '@/core/resolve'
import { own, type SiteElement, type State } from '@/core/site'
import { useEditorState, type Selection } from '../editor'
import { selectedNode } from './hit-test'
import { partsOf } from './overrule'
import { samples, sampleOf } from './picture-samples'
import { stageStore } from './stage-access'
import { standingOf } from './standing'

interface Asked {
  readonly spot: Spot
  readonly selection: Selection
  readonly element?: SiteElement
  readonly facet?: Facet
  readonly state: State
}

/** Where a thing stands, and whether a picture under it is not there to be looked at, or not yet. */
export interface OnStage {
  readonly standing: Standing
  readonly unseen: boolean
}

/**
 * Where a thing stands on the stage, once that is drawn: asked only where a gradient or a picture
 * lies under it, or is what it is painted with. Nothing where all that lies there is plain.
 */
export function useStanding({
  spot,
  selection,
  element,
  facet,
  state,
}: Asked): OnStage | undefined {
  const site = useEditorState((held) => held.siteId)
  const device = useEditorState((held) => held.width)
  const stage = useStore(stageStore, (held) => held.stage)
  const drawing = useStore(stageStore, (held) => held.drawing)
  const sampled = useStore(samples)
  return useMemo(() => {
    if (!stage || !element || !facet || !dependsOnPlace(spot, element, facet, state))
      return undefined
    const node = selectedNode(stage.document, selection)
    if (!node) return undefined
    const { pictures } = spot.docs
    const sampleFor = (id: string) => {
      const picture = own(pictures, id)
      return picture && sampleOf(site, spot.docs.frame.palette, picture)
    }
    const standing = standingOf(partsOf(node, facet), element, facet, device, sampleFor)
    const under = varyingUnder(spot, element, traceFacet(spot, element, facet, state), standing)
    const unseen = under.some(
      ({ trace: { paint } }) => 'picture' in paint && !sampleFor(paint.picture),
    )
    return { standing, unseen }
    // What was drawn since, and what came of pictures since, is measured anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [stage, drawing, spot, selection, element, facet, state, device, site, sampled])
}

function dependsOnPlace(spot: Spot, element: SiteElement, facet: Facet, state: State): boolean {
  const trace = traceFacet(spot, element, facet, state)
  return !trace.color || varyingUnder(spot, element, trace).length > 0
}
