import {
  baseSelector,
  basesOf,
  cssProperty,
  isFeature,
  kindClass,
  kindIds,
  kindOf,
  sectionFacets,
  sectionFeatures,
  sourceOf,
  windowWidths,
  type Facet,
  type Feature,
  type Property,
  type Source,
  type StyledKind,
} from '../elements'
import type { RoleId } from '../roles'
import type { Looks, LookValue, Paint, TraitValue } from '../site'
import { states, traits, type State } from '../traits'
import { roleProperty, type CssRule } from './css-names'
import { paintCss, type PictureFile } from './paint-css'
import { settingReference } from './setting-css'
import { traitCss } from './trait-css'

/**
 * What holds in a state, in the order of their weights: what is pressed is pointed at as well, and
 * what is disabled is neither, so that these two weigh one more than the others.
 */
const stateSelector: Readonly<Record<State, string>> = {
  rest: '',
  hover: ':hover',
  focus: ':focus-visible',
  pressed: ':active:active',
  disabled: ':disabled:disabled',
}

/**
 * All rules of properties have the weight of one class at rest, and the same weight in a state, so
 * that their order alone decides: kinds and roles, base styles, element styles, elements.
 */
function target(root: string, property: Property, state: State, lone = false): string {
  const { part } = property
  const painted = part ? (lone ? `.${part}` : `:where(${root}) .${part}`) : root
  const pseudo = isFeature(property) ? '' : (property.pseudo ?? '')
  return `${painted}${stateSelector[state]}${pseudo}`
}

function roleRules(kindSelector: string, facet: Facet): CssRule[] {
  if (facet.within) return []
  const rule = (selector: string, role: RoleId): CssRule => ({
    selector,
    declarations: [[cssProperty(facet), `var(${roleProperty(role)})`]],
  })
  const rest =
    typeof facet.role === 'string'
      ? [rule(target(kindSelector, facet, 'rest', true), facet.role)]
      : Object.entries(facet.role.of).map(([word, role]) =>
          rule(
            `${kindSelector}:where([data-${(facet.role as { by: string }).by}="${word}"])`,
            role,
          ),
        )
  return facet.hover
    ? [...rest, rule(target(kindSelector, facet, 'hover', true), facet.hover)]
    : rest
}

/** What every kind takes from the theme: the same for all sites. */
export function kindColorRules(): CssRule[] {
  const ofKinds = kindIds.flatMap((id) =>
    kindOf(id).facets.flatMap((facet) => roleRules(`.${kindClass(id)}`, facet)),
  )
  return [...sectionFacets.flatMap((facet) => roleRules('.section', facet)), ...ofKinds]
}

/** A source as CSS: what follows a setting refers to it. */
function sourceCss({ trait }: Feature, source: Source) {
  if ('usual' in source) return traitCss(trait, source.usual as TraitValue)
  return [[traits[trait].property, settingReference(source.setting)] as const]
}

function featureRules(kind: StyledKind, feature: Feature): CssRule[] {
  const rule = (selector: string, source: Source | undefined): CssRule[] =>
    source ? [{ selector, declarations: sourceCss(feature, source) }] : []
  return basesOf(kind).flatMap((base) => {
    const selector = baseSelector(kind, base)
    const inStates = states.flatMap((state) =>
      rule(target(selector, feature, state, true), feature.inState?.[state]),
    )
    return [
      ...rule(target(selector, feature, 'rest', true), sourceOf(feature, base.id)),
      ...inStates,
    ]
  })
}

/** How every kind looks where nobody decided it: what is usual, or a setting of the site. */
export function kindFeatureRules(): CssRule[] {
  const ofKinds = kindIds.flatMap((id) =>
    (kindOf(id).features ?? []).flatMap((feature) => featureRules(id, feature)),
  )
  const ofSections = sectionFeatures.flatMap((feature) => featureRules('section', feature))
  return [...ofSections, ...ofKinds]
}

type FileOf = (id: string) => PictureFile

type Declarations = ReadonlyArray<readonly [string, string]>

/** Words in a gradient: their box is filled with it and cut out to them, in print as well. */
const inGradient = (css: string): Declarations => [
  ['color', 'transparent'],
  ['background', css],
  ['background-clip', 'text'],
  ['print-color-adjust', 'exact'],
]

/** What a property is, as CSS. Plain words over a gradient take that away. */
function valueCss(property: Property, value: LookValue, fileOf: FileOf, isOver: boolean) {
  if (isFeature(property)) return traitCss(property.trait, value as TraitValue)
  const css = paintCss(value as Paint, fileOf)
  if (!property.takesGradient) return [[cssProperty(property), css] as const]
  if ('gradient' in (value as Paint)) return inGradient(css)
  const plain = [cssProperty(property), css] as const
  return isOver ? [plain, ['background', 'none'] as const] : [plain]
}

/** Words that a gradient fills in some state, by their keys. */
export function gradientWords(properties: readonly Property[], looks: Looks | undefined): string[] {
  return properties.flatMap((property) => {
    if (isFeature(property) || !property.takesGradient) return []
    const held = Object.values(looks?.[property.key] ?? {}) as Paint[]
    return held.some((paint) => 'gradient' in paint) ? [property.key] : []
  })
}

/**
 * The rules for what one element, one element style or one section decides; `over` names words that
 * something which it may lie over fills with a gradient.
 */
export function lookRules(
  root: string,
  properties: readonly Property[],
  looks: Looks | undefined,
  fileOf: FileOf,
  over: readonly string[] = [],
): CssRule[] {
  if (!looks) return []
  const filled = new Set([...over, ...gradientWords(properties, looks)])
  return properties.flatMap((property) =>
    states.flatMap((state) => {
      const value = looks[property.key]?.[state]
      if (value === undefined) return []
      const below = isFeature(property) ? undefined : property.below
      return {
        selector: target(root, property, state),
        declarations: valueCss(property, value, fileOf, filled.has(property.key)),
        ...(below ? { upTo: windowWidths[below] } : {}),
      }
    }),
  )
}
