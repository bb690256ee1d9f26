import { cssProperty, kindClass, kindIds, kindOf, sectionFacets, type Facet } from '../elements'
import type { RoleId } from '../roles'
import type { Looks, State } from '../site'
import { roleProperty, type CssRule } from './css-names'
import { paintCss } from './paint-css'

/**
 * All colour rules have the weight of one class at rest and one more under the
 * pointer, so that their order alone decides: roles, element styles, elements.
 */
function target(root: string, facet: Facet, state: State, lone = false): string {
  const part = facet.part ? (lone ? `.${facet.part}` : `:where(${root}) .${facet.part}`) : root
  return `${part}${state === 'hover' ? ':hover' : ''}${facet.pseudo ?? ''}`
}

function roleRules(kindSelector: string, facet: Facet): CssRule[] {
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

/** The rules for colours set on one element, one element style or one section. */
export function overrideRules(
  root: string,
  facets: readonly Facet[],
  looks: Looks | undefined,
  pictureCss: (id: string) => string,
): CssRule[] {
  return facets.flatMap((facet) =>
    (['rest', 'hover'] as const).flatMap((state) => {
      const paint = looks?.[facet.key]?.[state]
      if (!paint) return []
      return {
        selector: target(root, facet, state),
        declarations: [[cssProperty(facet), paintCss(paint, pictureCss)] as const],
      }
    }),
  )
}
