import { roleIds, roleName, roles } from '../../roles'
import { themesInOrder, type Theme } from '../../site'
import type { Use } from '../use'
import { decisionUse } from './decision-use'
import type { PlaceReader } from './reading'

export const readThemes: PlaceReader = ({ frame }) =>
  themesInOrder(frame?.themes ?? { order: [], byId: {} }).flatMap((theme) =>
    (['roles', 'dark'] as const).flatMap((set) => themeUses(theme, set)),
  )

/** The decisions of a theme, of its light or its dark edition. */
function themeUses(theme: Theme, set: 'roles' | 'dark'): Use[] {
  const decided = theme[set]
  if (!decided) return []
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
