import * as z from 'zod'
import {
  effectiveSetting,
  settingIds,
  settings as settingTable,
  settingsSchema,
  written,
  type SettingId,
  type Settings,
} from '../traits'
import { defineEdit } from './edit'
import { cellsSchema, decideCells } from './theme-edits'

const setSettingsCommand = z.strictObject({
  type: z.literal('setSettings'),
  settings: settingsSchema.partial(),
  /** What the colours of themes become with it, generated: buttons of another form need others. */
  cells: cellsSchema.optional(),
})

/** What a setting holds, in a few words. */
export function settingWords<K extends SettingId>(settings: Settings, id: K): string {
  const value: Settings[SettingId] = effectiveSetting(settings, id)
  const { unit } = settingTable[id]
  if (typeof value === 'string') return value === 'none' ? 'as written' : value
  if (typeof value === 'number') return unit ? `${written(value, 3)} ${unit}` : written(value, 3)
  return `${written(value.block, 2)} · ${written(value.inline, 2)} px`
}

/** Decides what holds for the whole site, whatever the theme: typefaces, scale, shapes. */
export const setSettings = defineEdit<z.infer<typeof setSettingsCommand>>({
  type: 'setSettings',
  schema: setSettingsCommand,
  apply(draft, { settings, cells = [] }) {
    const problem = decideCells(draft, cells, false)
    if (problem) return problem
    draft.frame.settings = { ...draft.frame.settings, ...settings }
  },
  describe({ settings }, { frame }) {
    const ids = settingIds.filter((id) => settings[id] !== undefined)
    const [first] = ids
    if (!first) return 'Site-wide settings as they are'
    const now = { ...frame.settings, ...settings }
    const more = ids.length - 1
    const told = `${settingTable[first].label}: ${settingWords(now, first)}`
    return more ? `${told}, and ${more} ${more === 1 ? 'other' : 'others'}` : told
  },
})
