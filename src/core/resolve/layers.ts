import { over, type Color } from '../color'
import type { Facet } from '../elements'
import type { SiteElement, State } from '../site'
import { paintColors } from './decision'
import { parentsOf, type Spot } from './spot'
import { facetsOf } from './chain'
import { traceFacet, type Trace } from './trace'

/** What is seen of colours that lie over others: an opaque one hides all below it. */
export function layer(tops: readonly Color[], below: readonly Color[]): Color[] {
  return tops.flatMap((top) => (top.alpha >= 1 ? [top] : below.map((ground) => over(top, ground))))
}

const whole = (facet: Facet) => !facet.part

export function fillsOf(
  spot: Spot,
  element: SiteElement | undefined,
  state: State,
  wanted: (facet: Facet) => boolean = whole,
): Color[] {
  const facet = facetsOf(element).find(
    (candidate) => candidate.paints === 'fill' && wanted(candidate),
  )
  if (!facet) return []
  return paintColors(spot.docs.frame.palette, traceFacet(spot, element, facet, state).paint)
}

/** The opaque colours under a facet, where its section shows some: the fills of the elements around it, then its own. */
export function groundsOn(
  section: readonly Color[],
  spot: Spot,
  element: SiteElement,
  trace: Trace,
): Color[] {
  const { on } = trace.facet
  const layers = [
    ...parentsOf(spot, element.id).map((parent) => fillsOf(spot, parent, 'rest')),
    on ? fillsOf(spot, element, trace.state, (facet) => facet.key === on) : [],
  ]
  return layers.reduce<readonly Color[]>(
    (grounds, fills) => (fills.length ? layer(fills, grounds) : grounds),
    section,
  ) as Color[]
}
