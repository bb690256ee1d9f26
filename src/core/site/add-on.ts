import * as z from 'zod'
import { addOnKindIds, addOnKindOf, isColorSetting, type AddOnKindId } from '../add-ons'
import { parseColor } from '../color'
import { colorDecision, type ColorDecision } from './paint'
import { nameText } from './text'
import { withWholes, type Stored, type UpgradeStep } from './upgrade-steps'

/** Longest text among the settings of an add-on, in UTF-16 units. */
export const longestSetting = 500

const settingSchema = z.union([
  colorDecision,
  z.string().max(longestSetting),
  z.number(),
  z.boolean(),
])

/**
 * An add-on keeps settings of its own: colour decisions, and what else it wants to know. Of one
 * that is none of ours (`other`) the settings are kept, and nothing is drawn.
 */
export const addOnSchema = z.strictObject({
  id: z.string().min(1).max(60),
  kind: z.enum([...addOnKindIds, 'other']),
  name: nameText,
  settings: z.record(z.string().max(80), settingSchema),
})

export type AddOn = z.infer<typeof addOnSchema>
export type AddOnSetting = AddOn['settings'][string]

/** Most add-ons of a site. */
export const mostAddOns = 40

export const isColorDecision = (setting: AddOnSetting | undefined): setting is ColorDecision =>
  typeof setting === 'object'

/** The settings that an add-on of a kind comes with. */
export function initialSettings(kind: AddOnKindId): AddOn['settings'] {
  const { colors, texts } = addOnKindOf(kind)
  return Object.fromEntries([
    ...Object.entries(colors).map(([key, { initial }]) => [key, { value: initial }]),
    ...Object.entries(texts).map(([key, { initial }]) => [key, initial]),
  ]) as AddOn['settings']
}

/** What an add-on is painted with, by setting: what was decided, or what it came with. */
export function addOnColors({ kind, settings }: AddOn): Array<[key: string, ColorDecision]> {
  if (kind === 'other') return []
  return Object.entries(addOnKindOf(kind).colors).map(([key, { initial }]) => {
    const setting = settings[key]
    return [key, isColorDecision(setting) ? setting : { value: initial }]
  })
}

/** A text of an add-on as it is shown: what was decided, or what it came with. */
export function addOnText({ kind, settings }: AddOn, key: string): string {
  const { [key]: setting } = settings
  if (kind === 'other') return ''
  const text = addOnKindOf(kind).texts[key]
  if (!text) return ''
  const own = typeof setting === 'object' || setting === undefined ? text.initial : String(setting)
  return !text.options || text.options.some(([value]) => value === own) ? own : text.initial
}

/** A setting by which each kind is known. */
const TOLD_BY: Readonly<Record<AddOnKindId, string>> = {
  chat: 'launcher.background',
  newsletter: 'field.line',
  checkout: 'total.color',
  'announcement-bar': 'bar.background',
}

/** Which of ours an add-on is, by what it had settings for before that was said. */
const kindBySettings = (settings: Stored): AddOn['kind'] =>
  addOnKindIds.find((kind) => TOLD_BY[kind] in settings) ?? 'other'

const lifted = (key: string, value: unknown) =>
  isColorSetting(key) && typeof value === 'string' && parseColor(value).ok ? { value } : value

function withKind(addOn: Stored): Stored {
  const settings = addOn.settings as Stored
  const kind = kindBySettings(settings)
  if (kind === 'other') return { ...addOn, kind }
  const entries = Object.entries(settings).map(([key, value]) => [key, lifted(key, value)])
  return { ...addOn, kind, settings: Object.fromEntries(entries) as Stored }
}

const ofFrame = (frame: Stored): Stored => ({
  ...frame,
  addOns: (frame.addOns as readonly Stored[]).map(withKind),
})

/** Colours among the settings of add-ons are decisions like all others. */
export const addOnStep: UpgradeStep = {
  record: ofFrame,
  change(change) {
    const { path } = change
    if (path.length === 0) return withWholes(change, ofFrame)
    const [root, , settings, key] = path
    if (root !== 'addOns') return change
    if (path.length === 1 && 'at' in change && typeof change.out !== 'string') {
      const each = (list: unknown) => (list as readonly Stored[]).map(withKind) as never
      return { ...change, out: each(change.out), in: each(change.in) }
    }
    if (settings !== 'settings' || typeof key !== 'string') return undefined
    if (!isColorSetting(key)) return change
    if ('at' in change) return { ...change, path: [...path, 'value'] }
    const { from, to } = change
    return {
      path,
      ...(from === undefined ? {} : { from: lifted(key, from) as typeof from }),
      ...(to === undefined ? {} : { to: lifted(key, to) as typeof to }),
    }
  },
}
