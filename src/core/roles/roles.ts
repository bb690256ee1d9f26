/**
 * The table of roles: what a colour is for inside a theme. The interface, the
 * renderer, the checks and the tests all read it.
 */
export const roleIds = [
  'ground',
  'surface',
  'heading',
  'text',
  'mutedText',
  'link',
  'linkHover',
  'buttonFill',
  'buttonLabel',
  'buttonLine',
  'buttonHoverFill',
  'buttonHoverLabel',
  'quietFill',
  'quietLabel',
  'quietLine',
  'quietHoverFill',
  'quietHoverLabel',
  'line',
  'accent',
  'focus',
  'success',
  'warning',
  'danger',
  'fieldGround',
  'fieldText',
  'fieldHint',
  'fieldLine',
] as const

export type RoleId = (typeof roleIds)[number]

export type RoleGroup =
  'Ground' | 'Words' | 'Main button' | 'Quiet button' | 'Marks' | 'Form fields'

/** What is painted with a role; Sweep narrows by it. */
export type PaintedAs = 'fill' | 'text' | 'line'

export interface Role {
  readonly id: RoleId
  readonly label: string
  readonly group: RoleGroup
  readonly paints: PaintedAs
  /** The contrast it needs on what it stands on (WCAG 2.2), which the kinds of element tell. Absent: decoration. */
  readonly needs?: 4.5 | 3
}

/** WCAG 2.2 §1.4.3, text of any size. */
const TEXT = 4.5
/** WCAG 2.2 §1.4.11, what must be seen to know a control or an icon. */
const SHAPE = 3

const table: readonly Role[] = [
  { id: 'ground', label: 'Ground', group: 'Ground', paints: 'fill' },
  { id: 'surface', label: 'Card ground', group: 'Ground', paints: 'fill' },
  { id: 'heading', label: 'Heading', group: 'Words', paints: 'text', needs: TEXT },
  { id: 'text', label: 'Text', group: 'Words', paints: 'text', needs: TEXT },
  {
    id: 'mutedText',
    label: 'Muted text',
    group: 'Words',
    paints: 'text',
    needs: TEXT,
  },
  { id: 'link', label: 'Link', group: 'Words', paints: 'text', needs: TEXT },
  {
    id: 'linkHover',
    label: 'Link, pointer over',
    group: 'Words',
    paints: 'text',
    needs: TEXT,
  },
  { id: 'buttonFill', label: 'Fill', group: 'Main button', paints: 'fill' },
  {
    id: 'buttonLabel',
    label: 'Label',
    group: 'Main button',
    paints: 'text',
    needs: TEXT,
  },
  { id: 'buttonLine', label: 'Border', group: 'Main button', paints: 'line' },
  {
    id: 'buttonHoverFill',
    label: 'Fill, pointer over',
    group: 'Main button',
    paints: 'fill',
  },
  {
    id: 'buttonHoverLabel',
    label: 'Label, pointer over',
    group: 'Main button',
    paints: 'text',
    needs: TEXT,
  },
  { id: 'quietFill', label: 'Fill', group: 'Quiet button', paints: 'fill' },
  {
    id: 'quietLabel',
    label: 'Label',
    group: 'Quiet button',
    paints: 'text',
    needs: TEXT,
  },
  {
    id: 'quietLine',
    label: 'Border',
    group: 'Quiet button',
    paints: 'line',
    needs: SHAPE,
  },
  {
    id: 'quietHoverFill',
    label: 'Fill, pointer over',
    group: 'Quiet button',
    paints: 'fill',
  },
  {
    id: 'quietHoverLabel',
    label: 'Label, pointer over',
    group: 'Quiet button',
    paints: 'text',
    needs: TEXT,
  },
  { id: 'line', label: 'Dividers and borders', group: 'Marks', paints: 'line' },
  {
    id: 'accent',
    label: 'Icons, highlights',
    group: 'Marks',
    paints: 'text',
    needs: SHAPE,
  },
  { id: 'focus', label: 'Focus ring', group: 'Marks', paints: 'line', needs: SHAPE },
  { id: 'success', label: 'Good news', group: 'Marks', paints: 'text', needs: TEXT },
  { id: 'warning', label: 'Caution', group: 'Marks', paints: 'text', needs: TEXT },
  { id: 'danger', label: 'Bad news', group: 'Marks', paints: 'text', needs: TEXT },
  { id: 'fieldGround', label: 'Ground', group: 'Form fields', paints: 'fill' },
  {
    id: 'fieldText',
    label: 'Typed text',
    group: 'Form fields',
    paints: 'text',
    needs: TEXT,
  },
  {
    id: 'fieldHint',
    label: 'Hint',
    group: 'Form fields',
    paints: 'text',
    needs: TEXT,
  },
  {
    id: 'fieldLine',
    label: 'Border',
    group: 'Form fields',
    paints: 'line',
    needs: SHAPE,
  },
]

export const roles: Readonly<Record<RoleId, Role>> = Object.fromEntries(
  table.map((role) => [role.id, role]),
) as Record<RoleId, Role>

export const roleGroups: ReadonlyArray<readonly [RoleGroup, readonly Role[]]> = (
  ['Ground', 'Words', 'Main button', 'Quiet button', 'Marks', 'Form fields'] as const
).map((group) => [group, table.filter((role) => role.group === group)])

/** A role's name where its group is not written beside it: `Main button, fill`. */
export function roleName(id: RoleId): string {
  const { group, label } = roles[id]
  const within = group === 'Main button' || group === 'Quiet button' || group === 'Form fields'
  if (!within) return label
  return `${group === 'Form fields' ? 'Field' : group}, ${label.toLowerCase()}`
}

/** `buttonHoverFill` as part of a custom property: `button-hover-fill`. */
export function roleToken(id: RoleId): string {
  return id.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)
}
