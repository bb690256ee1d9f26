import type { RoleId } from './roles'

/**
 * What goes along with a role when a person decides it, because it stands on it
 * or is drawn with it: a label, an outline, what both are with the pointer over.
 */
const table: Partial<Readonly<Record<RoleId, readonly RoleId[]>>> = {
  link: ['linkHover'],
  buttonFill: ['buttonLabel', 'buttonLine', 'buttonHoverFill', 'buttonHoverLabel'],
  buttonHoverFill: ['buttonHoverLabel'],
  quietFill: ['quietLabel', 'quietLine', 'quietHoverFill', 'quietHoverLabel'],
  quietHoverFill: ['quietHoverLabel'],
  fieldGround: ['fieldText', 'fieldHint', 'fieldLine'],
}

/** The roles that go along with one; none for most. */
export const followersOf = (role: RoleId): readonly RoleId[] => table[role] ?? []
