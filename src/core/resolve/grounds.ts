import { contrast, over, white, type Color } from '../color'
import type { Facet } from '../elements'
import type { SiteElement, State } from '../site'
import { roles } from '../theme'
import { paintColors } from './decision'
import { parentsOf, type Spot } from './spot'
import { facetRole, facetsOf, traceFacet, type Trace } from './trace'

const layer = (tops: readonly Color[], below: readonly Color[]): Color[] =>
  tops.flatMap((top) => (top.alpha >= 1 ? [top] : below.map((ground) => over(top, ground))))

function fillsOf(
  spot: Spot,
  element: SiteElement | undefined,
  state: State,
  wanted: (facet: Facet) => boolean,
): Color[] {
  const facet = facetsOf(element).find(
    (candidate) => candidate.paints === 'fill' && wanted(candidate),
  )
  if (!facet) return []
  return paintColors(spot.docs.frame.palette, traceFacet(spot, element, facet, state).paint)
}

/**
 * The opaque colours that lie under a facet: its element's own fill, the fills
 * of the elements around it, the section's ground, white paper under all. More
 * than one where a gradient is among them.
 */
export function groundsUnder(spot: Spot, element: SiteElement, trace: Trace): Color[] {
  const whole = (facet: Facet) => !facet.part
  const { on } = trace.facet
  const layers = [
    fillsOf(spot, undefined, 'rest', whole),
    ...parentsOf(spot, element.id).map((parent) => fillsOf(spot, parent, 'rest', whole)),
    on ? fillsOf(spot, element, trace.state, (facet) => facet.key === on) : [],
  ]
  return layers.reduce<Color[]>(
    (grounds, fills) => (fills.length ? layer(fills, grounds) : grounds),
    [white],
  )
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
