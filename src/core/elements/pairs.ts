import { roles, type RoleId } from '../roles'
import type { ElementKind, Facet } from './kind'
import { kindIds, kindOf } from './kinds'
import { sectionFacets } from './section'

/** Two roles that meet on a page: what is painted with one stands on what is painted with the other. */
export interface RolePair {
  readonly role: RoleId
  readonly on: RoleId
  /** The contrast that it needs there, WCAG 2.2. */
  readonly needs: number
}

type Facets = Pick<ElementKind, 'facets' | 'holds'>
type State = 'rest' | 'hover'

/** The roles of a facet in a state: several where content decides. */
function rolesOf({ role, hover }: Facet, state: State): readonly RoleId[] {
  if (state === 'hover' && hover) return [hover]
  return typeof role === 'string' ? [role] : Object.values(role.of)
}

/** What elements stand in: the section, and other elements that hold them, each with a fill of its own as a whole. */
function groundsOf(kinds: readonly Facets[]): Facet[] {
  const holders = [{ facets: sectionFacets }, ...kinds.filter(({ holds }) => holds)]
  return holders.flatMap(({ facets }) =>
    facets.filter(({ paints, part }) => paints === 'fill' && !part),
  )
}

/** Every pair that some kinds of element bring together, at rest and pointed at. */
export function pairsOf(kinds: readonly Facets[]): RolePair[] {
  const grounds = groundsOf(kinds)
  const pairs = new Map<string, RolePair>()
  for (const { facets } of [{ facets: sectionFacets }, ...kinds]) {
    for (const facet of facets) {
      const under = facet.on ? facets.filter(({ key }) => key === facet.on) : grounds
      for (const state of ['rest', 'hover'] as const) {
        for (const role of rolesOf(facet, state)) {
          const { needs } = roles[role]
          if (needs === undefined) continue
          for (const on of under.flatMap((each) => rolesOf(each, state))) {
            pairs.set(`${role} ${on}`, { role, on, needs })
          }
        }
      }
    }
  }
  return [...pairs.values()]
}

/** Every pair that meets on a page, as the kinds of element bring them together. */
export const rolePairs: readonly RolePair[] = pairsOf(kindIds.map(kindOf))

const grounds = new Map<RoleId, RoleId[]>()
for (const { role, on } of rolePairs) grounds.set(role, [...(grounds.get(role) ?? []), on])

/** The roles that a role stands on. */
export const groundsOfRole = (role: RoleId): readonly RoleId[] => grounds.get(role) ?? []
