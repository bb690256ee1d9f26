import { roleIds, roleName, roles, type RoleId } from '../../roles'
import { themesInOrder, type ColorDecision, type Theme } from '../../site'
import type { Use } from '../use'
import { decisionUse } from './decision-use'
import type { PlaceReader } from './reading'

export const readThemes: PlaceReader = ({ frame }) =>
  themesInOrder(frame?.themes ?? { order: [], byId: {} }).flatMap((theme) =>
    (['roles', 'dark'] as const).flatMap((set) => {
      const decided = theme[set]
      if (!decided) return []
      const uses = () => themeUses(theme, set, decided)
      return [{ of: theme, from: set, count: roleIds.length, uses }]
    }),
  )

/** The decisions of a theme, of its light or its dark edition. */
function themeUses(
  theme: Theme,
  set: 'roles' | 'dark',
  decided: Readonly<Record<RoleId, ColorDecision>>,
): Use[] {
  const after = set === 'dark' ? ', after dark' : ''
  return roleIds.map((role) =>
    decisionUse(decided[role], {
      place: 'themes',
      doc: 'frame',
      path: ['themes', 'byId', theme.id, set, role],
      paints: roles[role].paints,
      object: 'theme',
      property: role,
      label: `${theme.name}, ${roleName(role).toLowerCase()}${after}`,
      owner: { theme: theme.id, role },
    }),
  )
}
