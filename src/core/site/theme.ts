import { z } from 'zod'
import { roleIds } from '../theme'
import { themeId } from './ids'
import { nameText } from './palette'
import { colorDecision } from './paint'

/** A full set of role decisions. */
export const themeSchema = z.strictObject({
  id: themeId,
  name: nameText,
  roles: z.record(z.enum(roleIds), colorDecision),
})

export const themesSchema = z.strictObject({
  order: z.array(themeId).min(1).max(64),
  byId: z.record(themeId, themeSchema),
})

export type Theme = z.infer<typeof themeSchema>
export type Themes = z.infer<typeof themesSchema>

export function themesInOrder(themes: Themes): Theme[] {
  return themes.order.flatMap((id) => themes.byId[id] ?? [])
}
