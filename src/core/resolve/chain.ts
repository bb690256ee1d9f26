import {
  baseOf,
  isFeature,
  kindOf,
  propertiesOf,
  sectionFacets,
  sectionFeatures,
  type Facet,
  type Property,
} from '../elements'
import type { RoleId } from '../roles'
import {
  bodyOf,
  own,
  type ColorDecision,
  type ElementId,
  type ElementStyle,
  type LookValue,
  type Looks,
  type SectionId,
  type SiteElement,
  type StyleId,
  type ThemeId,
} from '../site'
import { statesBehind, type SettingId, type State } from '../traits'
import type { Spot } from './spot'

/** What every place of a chain tells: for which state and property it could decide, and what it sets; nothing where absent. */
interface Place<Value> {
  readonly state: State
  readonly key: string
  readonly set?: Value
}

/** One place in the chain that could decide a property. */
export type Decider<Value = LookValue> =
  | (Place<Value> & { readonly at: 'element'; readonly element: ElementId })
  | (Place<Value> & { readonly at: 'section'; readonly section: SectionId })
  /** An element style that the element was given, or one that it inherits from. */
  | (Place<Value> & { readonly at: 'style'; readonly style: StyleId })
  /** The style that all elements of its kind have, or links of all kinds. */
  | (Place<Value> & { readonly at: 'base'; readonly style: StyleId })
  | (Place<Value> & {
      readonly at: 'theme'
      readonly theme: ThemeId
      readonly role: RoleId
      readonly set: ColorDecision
    })
  | (Place<Value> & { readonly at: 'setting'; readonly setting: SettingId; readonly set: Value })
  /** What is usual for the kind, where nobody can decide it for the whole site. */
  | (Place<Value> & { readonly at: 'usual'; readonly set: Value })

/** The element's style and those it inherits from, nearest first; a circle ends where it closes. */
export function styleChain(
  styles: Readonly<Record<StyleId, ElementStyle>>,
  id: StyleId | undefined,
): ElementStyle[] {
  const chain: ElementStyle[] = []
  for (let style = id && own(styles, id); style && !chain.includes(style);) {
    chain.push(style)
    style = style.parent && own(styles, style.parent)
  }
  return chain
}

/** What of a section tells its base style. */
const factsOf = ({ docs, doc, section }: Spot) => {
  const [only, ...more] = section.children
  const body = bodyOf(docs, doc)
  const alone =
    more.length === 0 && only !== undefined ? body && own(body.elements, only) : undefined
  return { kind: section.kind, holdsOnly: alone?.kind }
}

/** The base style of a thing: of an element by its content, of a section by what it is. */
export const baseOfThing = (spot: Spot, element: SiteElement | undefined) =>
  element ? baseOf(element.kind, element.content) : baseOf('section', factsOf(spot))

/** The properties of an element, or of a section where none is given. */
export const propertiesOfThing = (element: SiteElement | undefined): readonly Property[] =>
  propertiesOf(element ? element.kind : 'section')

/** The facets of an element, or of a section where none is given. */
export const facetsOf = (element: SiteElement | undefined): readonly Facet[] =>
  element ? kindOf(element.kind).facets : sectionFacets

export const featuresOf = (element: SiteElement | undefined) =>
  element ? (kindOf(element.kind).features ?? []) : sectionFeatures

type Looking =
  | { readonly at: 'element'; readonly element: ElementId; readonly looks?: Looks }
  | { readonly at: 'section'; readonly section: SectionId; readonly looks?: Looks }
  | { readonly at: 'style' | 'base'; readonly style: StyleId; readonly looks?: Looks }

/** Where a property could be decided for a thing, before its theme or the site does; nearest first. */
function placesOf(spot: Spot, element: SiteElement | undefined, property: Property): Looking[] {
  const { styles } = spot.docs.frame
  const base = (id: string): Looking => ({
    at: 'base',
    style: id as StyleId,
    looks: own(styles, id)?.looks,
  })
  if (!element) {
    const { id, looks } = spot.section
    // The ground of sections is their theme's, whatever else they have in common.
    return isFeature(property)
      ? [{ at: 'section', section: id, looks }, base(baseOfThing(spot, undefined).id)]
      : [{ at: 'section', section: id, looks: spot.grounds }]
  }
  const kindly = baseOf(element.kind, element.content).id
  const bases = property.common ? [kindly, property.common] : [kindly]
  const given = styleChain(styles, element.style).filter(({ id }) => !bases.includes(id))
  return [
    { at: 'element', element: element.id, looks: element.looks },
    ...given.map((style): Looking => ({ at: 'style', style: style.id, looks: style.looks })),
    ...bases.map(base),
  ]
}

/** What a facet is a part of stands behind it: whichever is decided nearer counts. */
const keysOf = (property: Property): readonly string[] =>
  isFeature(property) ? [property.key] : [property.key, ...(property.within ?? [])]

function placesIn(places: readonly Looking[], keys: readonly string[], state: State): Decider[] {
  return places.flatMap(({ looks, ...place }) =>
    keys.map((key): Decider => ({ ...place, state, key, set: looks?.[key]?.[state] })),
  )
}

/**
 * The chain of decisions behind a property in a state, nearest first: all that is set for the
 * state before what is set for those behind it. `ends` says what decides where nobody did.
 */
export function chainOf(
  spot: Spot,
  element: SiteElement | undefined,
  property: Property,
  state: State,
  ends: (state: State) => readonly Decider[],
): Decider[] {
  const places = placesOf(spot, element, property)
  const keys = keysOf(property)
  return statesBehind[state].flatMap((each) => [...placesIn(places, keys, each), ...ends(each)])
}
