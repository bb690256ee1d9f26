import { contrast, white, type Color } from '../color'
import { roles } from '../roles'
import type { SiteElement } from '../site'
import { fillsOf, groundsOn, layer } from './layers'
import { liesOver, type Spot } from './spot'
import { facetRole, type Trace } from './trace'
import { veiledGrounds } from './veil'

/**
 * The opaque colours that lie under a facet: its element's own fill, the fills
 * of the elements around it, the section's ground, white paper under all. More
 * than one where a gradient is among them, or a picture under a header.
 */
export function groundsUnder(spot: Spot, element: SiteElement, trace: Trace): Color[] {
  const section = liesOver(spot)
    ? veiledGrounds(spot)
    : layer(fillsOf(spot, undefined, 'rest'), [white])
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
