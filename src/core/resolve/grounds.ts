import { contrast, white, type Color } from '../color'
import { sectionFacets } from '../elements'
import { roles } from '../roles'
import type { SiteElement } from '../site'
import { paintColors } from './decision'
import { groundsOn, layer } from './layers'
import { liesOver, type Spot } from './spot'
import { facetRole, traceFacet, type Trace } from './trace'
import { veiledGrounds } from './veil'

/** The colours of a section's ground, in windows of any width. */
function sectionFills(spot: Spot): Color[] {
  return sectionFacets.flatMap((facet) => {
    const { paint, chain, decidedBy } = traceFacet(spot, undefined, facet, 'rest')
    const { at, key } = chain[decidedBy]!
    const isSame = facet.within && (at === 'theme' || key !== facet.key)
    return isSame ? [] : paintColors(spot.docs.frame.palette, paint)
  })
}

/**
 * The opaque colours that lie under a facet: its element's own fill, the fills
 * of the elements around it, the section's ground, white paper under all. More
 * than one where a gradient is among them, or a picture under a header.
 */
export function groundsUnder(spot: Spot, element: SiteElement, trace: Trace): Color[] {
  const section = liesOver(spot) ? veiledGrounds(spot) : layer(sectionFills(spot), [white])
  return groundsOn(section, spot, element, trace)
}

export interface Reading {
  /** The lowest ratio over all grounds it lies on. */
  readonly ratio: number
  /** What it needs; absent for decoration. */
  readonly needs?: number
  readonly ground: Color
}

/** How well a traced colour reads where it stands; undefined for fills and for what is no plain colour. */
export function readingOf(spot: Spot, element: SiteElement, trace: Trace): Reading | undefined {
  const { color, facet } = trace
  if (!color || facet.paints === 'fill') return undefined
  const needs = roles[facetRole(facet, element)].needs
  const readings = groundsUnder(spot, element, trace).map((ground) => ({
    ratio: contrast(color, ground),
    ground,
    ...(needs ? { needs } : {}),
  }))
  return readings.sort((a, b) => a.ratio - b.ratio)[0]
}
