import type { Color, Shade } from '../color'
import { kindOf, sectionFacets, type Facet } from '../elements'
import type { RoleId } from '../roles'
import {
  bodyOf,
  isBound,
  isColor,
  walkSection,
  type ColorDecision,
  type ElementId,
  type ElementStyle,
  type Paint,
  type SectionId,
  type SiteElement,
  type SlotId,
  type State,
  type StyleId,
  type ThemeId,
} from '../site'
import { decisionColor } from './decision'
import type { Spot } from './spot'

/** One place in the chain that could decide a colour; `paint` is absent where it sets nothing. */
export type Decider =
  | {
      readonly at: 'element'
      readonly element: ElementId
      readonly state: State
      readonly paint?: Paint
    }
  | {
      readonly at: 'section'
      readonly section: SectionId
      readonly state: State
      readonly paint?: Paint
    }
  | { readonly at: 'style'; readonly style: StyleId; readonly state: State; readonly paint?: Paint }
  | {
      readonly at: 'theme'
      readonly theme: ThemeId
      readonly role: RoleId
      readonly state: State
      readonly paint: ColorDecision
    }

/** The chain of decisions behind one visible colour, nearest first. */
export interface Trace {
  readonly facet: Facet
  readonly state: State
  readonly chain: readonly Decider[]
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

/** The element's style and those it inherits from, nearest first; a circle ends where it closes. */
export function styleChain(
  styles: Readonly<Record<StyleId, ElementStyle>>,
  id: StyleId | undefined,
): ElementStyle[] {
  const chain: ElementStyle[] = []
  for (let style = id && styles[id]; style && !chain.includes(style);) {
    chain.push(style)
    style = style.parent && styles[style.parent]
  }
  return chain
}

/** The facets an element has, or a section where no element is given. */
export function facetsOf(element: SiteElement | undefined): readonly Facet[] {
  return element ? kindOf(element.kind).facets : sectionFacets
}

/** Whether a facet of an element can be seen: a link's colour needs a link in the words. */
export const isShown = ({ shows }: Facet, element: SiteElement | undefined): boolean =>
  !shows || !element || shows(element.content as Readonly<Record<string, unknown>>)

/** The facets of an element that can be seen, and those that something is decided for. */
export function shownFacets(element: SiteElement | undefined): readonly Facet[] {
  return facetsOf(element).filter(
    (facet) => isShown(facet, element) || element?.looks?.[facet.key] !== undefined,
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

function decidersAt(spot: Spot, element: SiteElement | undefined, facet: Facet, state: State) {
  if (!element) {
    const paint = state === 'rest' ? spot.ownFill : undefined
    return [{ at: 'section' as const, section: spot.section.id, state, paint }]
  }
  const own = {
    at: 'element' as const,
    element: element.id,
    state,
    paint: element.looks?.[facet.key]?.[state],
  }
  const shared = styleChain(spot.docs.frame.styles, element.style).map((style) => ({
    at: 'style' as const,
    style: style.id,
    state,
    paint: style.looks[facet.key]?.[state],
  }))
  return [own, ...shared]
}

function themeDecider(spot: Spot, role: RoleId, state: State): Decider {
  return { at: 'theme', theme: spot.theme.id, role, state, paint: spot.theme.roles[role] }
}

/**
 * The trace of one facet in one state. Under the pointer, what is set for the
 * pointer counts first; where nothing is, the colour at rest stays.
 */
export function traceFacet(
  spot: Spot,
  element: SiteElement | undefined,
  facet: Facet,
  state: State,
): Trace {
  const atRest: Decider[] = [
    ...decidersAt(spot, element, facet, 'rest'),
    themeDecider(spot, facetRole(facet, element), 'rest'),
  ]
  const chain =
    state === 'rest'
      ? atRest
      : [
          ...decidersAt(spot, element, facet, 'hover'),
          ...(facet.hover ? [themeDecider(spot, facet.hover, 'hover')] : []),
          ...atRest,
        ]
  const decidedBy = chain.findIndex((decider) => decider.paint)
  const paint = chain[decidedBy]!.paint!
  if (!isColor(paint)) return { facet, state, chain, decidedBy, paint }
  const color = decisionColor(spot.docs.frame.palette, paint)
  const bound = isBound(paint) ? { slot: paint.slot, shade: paint.shade } : {}
  return { facet, state, chain, decidedBy, paint, color, ...bound }
}
