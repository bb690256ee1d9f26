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
  /** The roles it stands on, and the contrast it needs there (WCAG 2.2). Absent: decoration. */
  readonly on: readonly RoleId[]
  readonly needs?: 4.5 | 3
}

const GROUNDS = ['ground', 'surface'] as const
/** WCAG 2.2 §1.4.3, text of any size. */
const TEXT = 4.5
/** WCAG 2.2 §1.4.11, what must be seen to know a control or an icon. */
const SHAPE = 3

const table: readonly Role[] = [
  { id: 'ground', label: 'Ground', group: 'Ground', paints: 'fill', on: [] },
  { id: 'surface', label: 'Card ground', group: 'Ground', paints: 'fill', on: [] },
  { id: 'heading', label: 'Heading', group: 'Words', paints: 'text', on: GROUNDS, needs: TEXT },
  { id: 'text', label: 'Text', group: 'Words', paints: 'text', on: GROUNDS, needs: TEXT },
  {
    id: 'mutedText',
    label: 'Muted text',
    group: 'Words',
    paints: 'text',
    on: GROUNDS,
    needs: TEXT,
  },
  { id: 'link', label: 'Link', group: 'Words', paints: 'text', on: GROUNDS, needs: TEXT },
  {
    id: 'linkHover',
    label: 'Link, pointer over',
    group: 'Words',
    paints: 'text',
    on: GROUNDS,
    needs: TEXT,
  },
  { id: 'buttonFill', label: 'Fill', group: 'Main button', paints: 'fill', on: [] },
  {
    id: 'buttonLabel',
    label: 'Label',
    group: 'Main button',
    paints: 'text',
    on: ['buttonFill'],
    needs: TEXT,
  },
  { id: 'buttonLine', label: 'Border', group: 'Main button', paints: 'line', on: [] },
  {
    id: 'buttonHoverFill',
    label: 'Fill, pointer over',
    group: 'Main button',
    paints: 'fill',
    on: [],
  },
  {
    id: 'buttonHoverLabel',
    label: 'Label, pointer over',
    group: 'Main button',
    paints: 'text',
    on: ['buttonHoverFill'],
    needs: TEXT,
  },
  { id: 'quietFill', label: 'Fill', group: 'Quiet button', paints: 'fill', on: [] },
  {
    id: 'quietLabel',
    label: 'Label',
    group: 'Quiet button',
    paints: 'text',
    on: ['quietFill'],
    needs: TEXT,
  },
  {
    id: 'quietLine',
    label: 'Border',
    group: 'Quiet button',
    paints: 'line',
    on: GROUNDS,
    needs: SHAPE,
  },
  {
    id: 'quietHoverFill',
    label: 'Fill, pointer over',
    group: 'Quiet button',
    paints: 'fill',
    on: [],
  },
  {
    id: 'quietHoverLabel',
    label: 'Label, pointer over',
    group: 'Quiet button',
    paints: 'text',
    on: ['quietHoverFill'],
    needs: TEXT,
  },
  { id: 'line', label: 'Dividers and borders', group: 'Marks', paints: 'line', on: [] },
  {
    id: 'accent',
    label: 'Icons, highlights',
    group: 'Marks',
    paints: 'text',
    on: GROUNDS,
    needs: SHAPE,
  },
  { id: 'focus', label: 'Focus ring', group: 'Marks', paints: 'line', on: GROUNDS, needs: SHAPE },
  { id: 'success', label: 'Good news', group: 'Marks', paints: 'text', on: GROUNDS, needs: TEXT },
  { id: 'warning', label: 'Caution', group: 'Marks', paints: 'text', on: GROUNDS, needs: TEXT },
  { id: 'danger', label: 'Bad news', group: 'Marks', paints: 'text', on: GROUNDS, needs: TEXT },
  { id: 'fieldGround', label: 'Ground', group: 'Form fields', paints: 'fill', on: [] },
  {
    id: 'fieldText',
    label: 'Typed text',
    group: 'Form fields',
    paints: 'text',
    on: ['fieldGround'],
    needs: TEXT,
  },
  {
    id: 'fieldHint',
    label: 'Hint',
    group: 'Form fields',
    paints: 'text',
    on: ['fieldGround'],
    needs: TEXT,
  },
  {
    id: 'fieldLine',
    label: 'Border',
    group: 'Form fields',
    paints: 'line',
    on: GROUNDS,
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

/** Every pair of roles that meets on a page, with the ratio it needs. */
export const rolePairs: ReadonlyArray<{
  readonly role: RoleId
  readonly on: RoleId
  readonly needs: number
}> = table.flatMap((role) =>
  role.needs ? role.on.map((on) => ({ role: role.id, on, needs: role.needs! })) : [],
)
