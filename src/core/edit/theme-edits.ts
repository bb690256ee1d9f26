import { z } from 'zod'
import { writeShade } from '../color'
import {
  colorDecision,
  isBound,
  slotName,
  themeId,
  type ColorDecision,
  type SiteDocs,
} from '../site'
import { roleIds, roleName } from '../theme'
import { defineEdit } from './edit'

/** A decision in a few words: `Brand −10`, or the loose colour as it was written. */
export function decisionWords(decision: ColorDecision, { frame }: SiteDocs): string {
  if (!isBound(decision)) return decision.value
  const name = slotName(frame.palette, decision.slot)
  return decision.shade ? `${name} ${writeShade(decision.shade)}` : name
}

const setRoleCommand = z.strictObject({
  type: z.literal('setRole'),
  themes: z.array(themeId).min(1).max(64),
  role: z.enum(roleIds),
  decision: colorDecision,
})

export const setRole = defineEdit<z.infer<typeof setRoleCommand>>({
  type: 'setRole',
  schema: setRoleCommand,
  pages: () => [],
  apply({ frame }, { themes, role, decision }) {
    if (isBound(decision) && !frame.palette.slots[decision.slot]) return 'slot-gone'
    for (const id of themes) {
      const theme = frame.themes.byId[id]
      if (!theme) return 'theme-gone'
      theme.roles[role] = decision
    }
  },
  describe({ themes, role, decision }, docs) {
    const { byId, order } = docs.frame.themes
    const where =
      themes.length === order.length
        ? 'in all themes'
        : themes.map((id) => byId[id]?.name ?? id).join(', ')
    return `${roleName(role)} ${where}: ${decisionWords(decision, docs)}`
  },
})
