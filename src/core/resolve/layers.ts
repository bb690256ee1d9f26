import { over, type Color } from '../color'
import type { Facet, WindowWidth } from '../elements'
import { isColor, type Paint, type SiteElement, type State } from '../site'
import { paintColors, type Place } from './paint-colors'
import { parentsOf, type Spot } from './spot'
import { facetsOf } from './chain'
import { traceFacet, type Trace } from './trace'

/** What is seen of colours that lie over others: an opaque one hides all below it. */
export function layer(tops: readonly Color[], below: readonly Color[]): Color[] {
  return tops.flatMap((top) => (top.alpha >= 1 ? [top] : below.map((ground) => over(top, ground))))
}

/** What has a ground: an element by its id, the section where there is none. */
export type GroundOwner = SiteElement['id'] | undefined

/** Where something stands on the page as it is laid out in one window. */
export interface Standing {
  /** The window; one wider than all that have a name where absent. */
  readonly below?: WindowWidth
  /** Where it stands on each ground around it, as far as that is known. */
  readonly placeOn: (owner: GroundOwner) => Place | undefined
}

/** How what lies under a colour is looked at. */
export interface Sight {
  /** Where it stands; anywhere on its grounds where that is not known. */
  readonly standing?: Standing
  /** What the paint of one ground is taken to be. */
  readonly instead?: { readonly owner: GroundOwner; readonly paint: Paint }
}

/** A ground that lies under something: whose it is, and what it is painted with. */
export interface Ground {
  readonly owner: GroundOwner
  readonly trace: Trace
}

/** The colours of a ground, as it is looked at. */
export function colorsOfGround(spot: Spot, { owner, trace }: Ground, sight: Sight): Color[] {
  const { standing, instead } = sight
  const paint = instead && instead.owner === owner ? instead.paint : trace.paint
  return paintColors(spot.docs.frame.palette, paint, standing?.placeOn(owner))
}

const whole = (facet: Facet) => !facet.part

function fillOf(
  spot: Spot,
  element: SiteElement,
  state: State,
  wanted: (facet: Facet) => boolean = whole,
): Ground[] {
  const facet = facetsOf(element).find(
    (candidate) => candidate.paints === 'fill' && wanted(candidate),
  )
  return facet ? [{ owner: element.id, trace: traceFacet(spot, element, facet, state) }] : []
}

/** The grounds of the elements around a facet, from the outermost in, then its own. */
export function elementGrounds(spot: Spot, element: SiteElement, trace: Trace): Ground[] {
  const { on } = trace.facet
  return [
    ...parentsOf(spot, element.id).flatMap((parent) => fillOf(spot, parent, 'rest')),
    ...(on ? fillOf(spot, element, trace.state, ({ key }) => key === on) : []),
  ]
}

/** The opaque colours under a facet, where its section shows some: the fills of the elements around it, then its own. */
export function groundsOn(
  section: readonly Color[],
  spot: Spot,
  element: SiteElement,
  trace: Trace,
  sight: Sight = {},
): Color[] {
  return elementGrounds(spot, element, trace).reduce<readonly Color[]>(
    (grounds, ground) => layer(colorsOfGround(spot, ground, sight), grounds),
    section,
  ) as Color[]
}

/** Whether a ground is not the same everywhere. */
export const varies = ({ trace }: Ground): boolean => !isColor(trace.paint)
