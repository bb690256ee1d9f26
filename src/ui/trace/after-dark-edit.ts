import { describeEdit, type Edit } from '@/core/edit'
import type { Spot } from '@/core/resolve'

/** While the dark edition is looked at, a role is decided there. */
export function afterDarkEdit(edit: Edit, { docs }: Spot): Edit {
  if (edit.type !== 'setRole') return edit
  const { themes, role, decision } = edit
  return {
    type: 'setCells',
    told: `${describeEdit(edit, docs)}, after dark`.slice(0, 160),
    cells: themes.map((theme) => ({ theme, role, decision, dark: true })),
    hand: true,
  }
}
