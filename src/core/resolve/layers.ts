import { luminance, over, type Color } from '../color'
import type { Facet, WindowWidth } from '../elements'
import { isColor, type Paint, type SiteElement, type State } from '../site'
import { backdropsIn, plainBackdrop, type Backdrop } from './backdrop'
import { traceFeature } from './feature-trace'
import { paintColors, type Place } from './paint-colors'
import { parentsOf, type Spot } from './spot'
import { facetsOf, featuresOf } from './chain'
import { traceFacet, type Trace } from './trace'

/** Steps of lightness of which a picture's darkest and lightest colours tell as much as all of them. */
const LEVELS = 96

/** Of very many backdrops those that tell how anything reads on them: the darkest and the lightest of each level. */
export function telling(backdrops: readonly Backdrop[]): readonly Backdrop[] {
  if (backdrops.length <= 2 * LEVELS) return backdrops
  const weighed = backdrops
    .map((backdrop) => ({ backdrop, level: luminance(backdrop.ground) }))
    .sort((a, b) => a.level - b.level)
  // Levels that look equally far apart: luminance goes with the square of lightness, about.
  const levelOf = ({ level }: (typeof weighed)[number]) => Math.floor(Math.sqrt(level) * LEVELS)
  return weighed
    .filter(
      (each, i) =>
        i === 0 ||
        i === weighed.length - 1 ||
        levelOf(each) !== levelOf(weighed[i - 1]!) ||
        levelOf(each) !== levelOf(weighed[i + 1]!),
    )
    .map(({ backdrop }) => backdrop)
}

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
  /** What one ground is taken to be painted with. */
  readonly instead?: { readonly ground: Ground; readonly paint: Paint }
}

/** A ground that lies under something: whose it is, and what it is painted with. */
export interface Ground {
  readonly owner: GroundOwner
  readonly trace: Trace
}

const isSame = (a: Ground, b: Ground) =>
  a.owner === b.owner && a.trace.facet.key === b.trace.facet.key

/** The colours of a ground, as it is looked at. */
export function colorsOfGround(spot: Spot, ground: Ground, sight: Sight): Color[] {
  const { standing, instead } = sight
  const { owner, trace } = ground
  const paint = instead && isSame(instead.ground, ground) ? instead.paint : trace.paint
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

/** The opacity 0…1 of an element in a state, and of one of its parts. */
function opacityOf(spot: Spot, element: SiteElement, state: State, part?: string): number {
  return featuresOf(element)
    .filter((feature) => feature.trait === 'opacity' && (!feature.part || feature.part === part))
    .reduce((all, feature) => {
      const { value } = traceFeature(spot, element, feature, state)
      return typeof value === 'number' ? all * value : all
    }, 1)
}

/** The elements that a facet lies in, from the outermost in, each with its ground and its opacity. */
function layersAround(spot: Spot, element: SiteElement, trace: Trace) {
  const grounds = elementGrounds(spot, element, trace)
  const groundOf = (id: GroundOwner) => grounds.find(({ owner }) => owner === id)
  const parents = parentsOf(spot, element.id).map((parent) => ({
    ground: groundOf(parent.id),
    opacity: opacityOf(spot, parent, 'rest'),
  }))
  const { facet, state } = trace
  const opacity = opacityOf(spot, element, state, facet.part)
  return [...parents, { ground: groundOf(element.id), opacity }]
}

/** What is seen under a facet, where its section shows some colours: the fills of the elements around it, then its own. */
export function groundsOn(
  section: readonly Color[],
  spot: Spot,
  element: SiteElement,
  trace: Trace,
  sight: Sight = {},
): readonly Backdrop[] {
  return layersAround(spot, element, trace).reduce<readonly Backdrop[]>(
    (backdrops, { ground, opacity }) => {
      const fills = ground && colorsOfGround(spot, ground, sight)
      return telling(backdrops.flatMap((each) => backdropsIn(each, fills, opacity)))
    },
    telling(section.map(plainBackdrop)),
  )
}

/** Whether a ground is not the same everywhere. */
export const varies = ({ trace }: Ground): boolean => !isColor(trace.paint)

/** Whether nothing of what is below a ground can be seen. */
export const isOpaque = (spot: Spot, { trace }: Ground): boolean =>
  paintColors(spot.docs.frame.palette, trace.paint).every(({ alpha }) => alpha >= 1)
