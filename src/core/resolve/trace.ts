import type { Color, Shade } from '../color'
import type { Facet } from '../elements'
import type { RoleId } from '../roles'
import {
  bodyOf,
  isBound,
  isColor,
  walkSection,
  type ColorDecision,
  type Paint,
  type SiteElement,
  type SlotId,
} from '../site'
import type { State } from '../traits'
import { chainOf, facetsOf, type Decider } from './chain'
import { decisionColor } from './decision'
import type { Spot } from './spot'

/** The chain of decisions behind one visible colour, nearest first. */
export interface Trace {
  readonly facet: Facet
  readonly state: State
  readonly chain: ReadonlyArray<Decider<Paint>>
  /** Index in the chain of the decision that counts. */
  readonly decidedBy: number
  readonly paint: Paint
  /** The slot and shade behind it, when it is bound. */
  readonly slot?: SlotId
  readonly shade?: Shade
  /** The colour itself; absent for gradients and pictures. */
  readonly color?: Color
}

export function facetRole(facet: Facet, element?: SiteElement): RoleId {
  if (typeof facet.role === 'string') return facet.role
  const word = (element?.content as Record<string, unknown> | undefined)?.[facet.role.by]
  return facet.role.of[String(word)] ?? Object.values(facet.role.of)[0]!
}

/** Whether a facet of an element can be seen: a link's colour needs a link in the words. */
export const isShown = ({ shows }: Facet, element: SiteElement | undefined): boolean =>
  !shows || !element || shows(element.content as Readonly<Record<string, unknown>>)

/** The facets of an element that can be seen, and those that something is decided for. */
export function shownFacets(element: SiteElement | undefined): readonly Facet[] {
  return facetsOf(element).filter(
    (facet) =>
      (isShown(facet, element) && !facet.within) || element?.looks?.[facet.key] !== undefined,
  )
}

/** A thing of a section that has colours of its own, and one of them; the section itself has no element. */
export interface ColoredThing {
  readonly element?: SiteElement
  readonly facet: Facet
}

/** Every colour in a section as it stands on a page, the section's own first, then in the order of the page. */
export function coloredIn({ docs, doc, section }: Spot): ColoredThing[] {
  const elements: Array<SiteElement | undefined> = [undefined]
  const body = bodyOf(docs, doc)
  if (body) walkSection(body, section, (element) => void elements.push(element))
  return elements.flatMap((element) => shownFacets(element).map((facet) => ({ element, facet })))
}

/** What a theme decides for a facet in a state; nothing but at rest and where a role of its own is for the pointer. */
function themeEnds(
  { theme }: Spot,
  element: SiteElement | undefined,
  facet: Facet,
  state: State,
): Decider[] {
  const role =
    state === 'rest' ? facetRole(facet, element) : state === 'hover' ? facet.hover : undefined
  if (!role) return []
  const set: ColorDecision = theme.roles[role]
  return [{ at: 'theme', theme: theme.id, role, state, key: facet.key, set }]
}

/** The trace of one facet in one state. Where nothing is set for a state, the colour at rest stays. */
export function traceFacet(
  spot: Spot,
  element: SiteElement | undefined,
  facet: Facet,
  state: State,
): Trace {
  // What is decided for facets is a paint: their schema says so.
  const chain = chainOf(spot, element, facet, state, (each) =>
    themeEnds(spot, element, facet, each),
  ) as Array<Decider<Paint>>
  const decidedBy = chain.findIndex((decider) => decider.set !== undefined)
  const paint = chain[decidedBy]!.set!
  if (!isColor(paint)) return { facet, state, chain, decidedBy, paint }
  const color = decisionColor(spot.docs.frame.palette, paint)
  const bound = isBound(paint) ? { slot: paint.slot, shade: paint.shade } : {}
  return { facet, state, chain, decidedBy, paint, color, ...bound }
}
