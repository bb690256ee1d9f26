import type { BaseStyle, ByBase, Feature, Source } from './feature'
import { kindClass, type Facet } from './kind'
import { kindIds, kindOf, type KindId } from './kinds'
import { linkProperties } from './runs'
import { sectionBases, sectionFacets, sectionFeatures } from './section'

/** What styles and looks are of: a kind of element, sections, or the links that many kinds have. */
export type StyledKind = KindId | 'section' | 'link'

export const styledKinds: readonly StyledKind[] = [...kindIds, 'section', 'link']

/** One property of how a thing looks: a colour of it, or what else it has. */
export type Property = Facet | Feature

export const isFeature = (property: Property): property is Feature => 'trait' in property

/** All that can be decided for things of a kind. */
export function propertiesOf(kind: StyledKind): readonly Property[] {
  if (kind === 'section') return [...sectionFacets, ...sectionFeatures]
  if (kind === 'link') return linkProperties
  const { facets, features = [] } = kindOf(kind)
  return [...facets, ...features]
}

/** How a styled kind is called. */
export function labelOf(kind: StyledKind): string {
  if (kind === 'section') return 'Section'
  return kind === 'link' ? 'Link in text' : kindOf(kind).label
}

const known = new Map<StyledKind, readonly BaseStyle[]>()

/** The styles that things of a kind have without being given one. */
export function basesOf(kind: StyledKind): readonly BaseStyle[] {
  const found = known.get(kind)
  if (found) return found
  const own = kind === 'section' ? sectionBases : kind === 'link' ? undefined : kindOf(kind).bases
  const bases = own ?? [{ id: kindClass(kind), label: labelOf(kind) }]
  known.set(kind, bases)
  return bases
}

/** The base style that a thing has, by its content; of a section, by the section itself. */
export function baseOf(kind: StyledKind, content: object): BaseStyle {
  const bases = basesOf(kind)
  const facts = content as Readonly<Record<string, unknown>>
  return bases.find(({ is }) => !is || is(facts)) ?? bases[0]!
}

/** A base style with what it is of. */
export interface NamedBase extends BaseStyle {
  readonly kind: StyledKind
}

/** Every base style there is. */
export const baseStyles: readonly NamedBase[] = styledKinds.flatMap((kind) =>
  basesOf(kind).map((base) => ({ ...base, kind })),
)

const byId = new Map(baseStyles.map((base) => [base.id, base]))

export const baseStyle = (id: string): NamedBase | undefined => byId.get(id)

const isByBase = (from: Source | ByBase): from is ByBase => 'byBase' in from

/** What a feature comes to in a base style where nobody decided it; undefined where nothing does. */
export function sourceOf({ from }: Feature, base: string): Source | undefined {
  if (!from) return undefined
  return isByBase(from) ? (from.byBase[base] ?? undefined) : from
}

/** The selector of what has a base style, of the weight of one class. */
export function baseSelector(kind: StyledKind, { where }: BaseStyle): string {
  return `.${kindClass(kind)}${where ? `:where(${where})` : ''}`
}
