import { describeEdit, type Edit } from '@/core/edit'
import type { Spot } from '@/core/resolve'

/** While the dark edition is looked at, roles are decided there. */
export function afterDarkEdit(edit: Edit, { docs }: Spot): Edit {
  if (edit.type === 'setCells') {
    const cells = edit.cells.map((cell) => ({ ...cell, dark: true as const }))
    return { ...edit, told: `${edit.told.slice(0, 147)}, after dark`, cells }
  }
  if (edit.type !== 'setRole') return edit
  const { themes, role, decision } = edit
  return {
    type: 'setCells',
    told: `${describeEdit(edit, docs)}, after dark`.slice(0, 160),
    cells: themes.map((theme) => ({ theme, role, decision, dark: true })),
    hand: true,
  }
}
