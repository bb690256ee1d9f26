import { white, type Color } from '../color'
import { sectionFacets, type WindowWidth } from '../elements'
import { roles } from '../roles'
import type { SiteElement } from '../site'
import { contrastOn, seenOn, type Backdrop } from './backdrop'
import {
  colorsOfGround,
  elementGrounds,
  groundsOn,
  isOpaque,
  layer,
  varies,
  type Ground,
  type Sight,
} from './layers'
import { paintColors } from './paint-colors'
import { liesOver, type Spot } from './spot'
import { facetRole, traceFacet, type Trace } from './trace'
import { veiledGrounds } from './veil'

const sectionGround = (trace: Trace): Ground => ({ owner: undefined, trace })

/** The grounds of a section, in windows of any width: each that is decided of its own. */
function sectionGrounds(spot: Spot): Ground[] {
  return sectionFacets.flatMap((facet) => {
    const trace = traceFacet(spot, undefined, facet, 'rest')
    const { at, key } = trace.chain[trace.decidedBy]!
    const isSame = facet.within && (at === 'theme' || key !== facet.key)
    return isSame ? [] : [sectionGround(trace)]
  })
}

/** The ground of a section in one window. */
function groundIn(spot: Spot, { below }: NonNullable<Sight['standing']>): Ground {
  const facet = sectionFacets.find((each) => each.below === below)!
  return sectionGround(traceFacet(spot, undefined, facet, 'rest'))
}

/** What a window is as wide as: one of those that have a name, or wider than all of them. */
type Window = WindowWidth | 'wide'

const windowOf = ({ trace }: Ground): Window => trace.facet.below ?? 'wide'

/**
 * The opaque colours of a section's ground in windows of each width in which it has one of its
 * own. Where the position of the text is known for one width, gradients and pictures of other widths
 * are left out: the text has another position there.
 */
function sectionColors(
  spot: Spot,
  sight: Sight,
): Array<{ readonly window: Window; readonly colors: readonly Color[] }> {
  if (liesOver(spot)) return [{ window: 'wide', colors: veiledGrounds(spot) }]
  const all = sectionGrounds(spot)
  const { standing } = sight
  const here = standing && groundIn(spot, standing)
  const seen = here
    ? [here, ...all.filter((ground) => !varies(ground) && windowOf(ground) !== windowOf(here))]
    : all
  return seen.map((ground) => ({
    window: windowOf(ground),
    colors: layer(colorsOfGround(spot, ground, sight), [white]),
  }))
}

/**
 * What is seen under a facet: its element's own fill, the fills of the elements
 * around it, each with its opacity, the section's background, white paper under
 * all. More than one where a gradient or a picture is among them: where it
 * stands, if that is known, else anywhere.
 */
export function groundsUnder(
  spot: Spot,
  element: SiteElement,
  trace: Trace,
  sight: Sight = {},
): readonly Backdrop[] {
  const section = sectionColors(spot, sight).flatMap(({ colors }) => colors)
  return groundsOn(section, spot, element, trace, sight)
}

/**
 * The gradients and pictures that lie under a facet and can be seen there, the
 * nearest first: what is read on them depends on where it stands. Nothing under a
 * header that lies over a section: its veil is made for all that may come by.
 */
export function varyingUnder(
  spot: Spot,
  element: SiteElement,
  trace: Trace,
  standing?: Sight['standing'],
): Ground[] {
  const section = standing ? [groundIn(spot, standing)] : sectionGrounds(spot)
  const inside = elementGrounds(spot, element, trace).reverse()
  const all = liesOver(spot) ? inside : [...inside, ...section]
  const hides = inside.findIndex((ground) => isOpaque(spot, ground))
  return (hides < 0 ? all : all.slice(0, hides + 1)).filter(varies)
}

export interface Reading {
  /** The lowest ratio over all grounds it lies on. */
  readonly ratio: number
  /** What it needs; absent for decoration. */
  readonly needs?: number
  /** What lies under it, as it is seen. */
  readonly ground: Color
  /** The colour that is read, as it is seen; of a gradient the one that reads worst. */
  readonly color: Color
  /** The windows in which it reads so; left out where it reads the same in all. */
  readonly window?: Window
}

/** How well a traced colour reads where it stands; undefined for fills. Words in a gradient read as its worst colour does. */
export function readingOf(
  spot: Spot,
  element: SiteElement,
  trace: Trace,
  sight: Sight = {},
): Reading | undefined {
  const { paint, facet } = trace
  if (facet.paints === 'fill') return undefined
  const { palette } = spot.docs.frame
  const colors = paintColors(palette, paint, sight.standing?.placeOn(element.id))
  // What is disabled needs no contrast (WCAG 2.2, 1.4.3 and 1.4.11: inactive components).
  const needs = trace.state === 'disabled' ? undefined : roles[facetRole(facet, element)].needs
  const read = ({ window, colors: section }: ReturnType<typeof sectionColors>[number]) =>
    groundsOn(section, spot, element, trace, sight).flatMap((backdrop) =>
      colors.map((color) => ({
        ratio: contrastOn(color, backdrop),
        ground: backdrop.ground,
        color: seenOn(color, backdrop),
        window,
      })),
    )
  const worst = sectionColors(spot, sight).flatMap((each) => leastOf(read(each)))
  const [reading] = leastOf(worst)
  if (!reading) return undefined
  const { window, ...found } = reading
  const isSame = worst.every(({ ratio }) => ratio === reading.ratio)
  return { ...found, ...(isSame ? {} : { window }), ...(needs ? { needs } : {}) }
}

/** Of what has a ratio that with the lowest; nothing of nothing. */
function leastOf<Item extends { readonly ratio: number }>(items: readonly Item[]): Item[] {
  const [first, ...others] = items
  return first
    ? [others.reduce((least, each) => (each.ratio < least.ratio ? each : least), first)]
    : []
}
