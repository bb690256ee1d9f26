import * as z from 'zod'
import { addOnKindIds, addOnKindOf } from '../add-ons'
import {
  addOnSchema,
  initialSettings,
  isColorDecision,
  isBound,
  mostAddOns,
  typedName,
  type AddOn,
} from '../site'
import { defineEdit, type DraftDocs, type EditProblem } from './edit'

const addOnId = addOnSchema.shape.id

const addAddOnCommand = z.strictObject({
  type: z.literal('addAddOn'),
  id: addOnId,
  kind: z.enum(addOnKindIds),
})

/** Puts an add-on on the site, as it comes: one of each kind. */
export const addAddOn = defineEdit<z.infer<typeof addAddOnCommand>>({
  type: 'addAddOn',
  schema: addAddOnCommand,
  apply({ frame }, { id, kind }) {
    const { addOns } = frame
    if (addOns.some((other) => other.id === id || other.kind === kind)) return 'add-on-there'
    if (addOns.length >= mostAddOns) return 'add-ons-full'
    addOns.push({ id, kind, name: addOnKindOf(kind).label, settings: initialSettings(kind) })
  },
  describe: ({ kind }) => `Add-on ${addOnKindOf(kind).label} put on the site`,
})

const setAddOnCommand = z.strictObject({
  type: z.literal('setAddOn'),
  id: addOnId,
  name: typedName.optional(),
  /** Settings that become other; those that are not named stay. */
  settings: addOnSchema.shape.settings.optional(),
})

/** Whether a setting is what the add-on keeps under that name. */
function isFit({ kind, settings }: AddOn, key: string, setting: AddOn['settings'][string]) {
  if (kind === 'other') return typeof settings[key] === typeof setting && !isColorDecision(setting)
  const { colors, texts } = addOnKindOf(kind)
  if (Object.hasOwn(colors, key)) return isColorDecision(setting)
  const text = Object.hasOwn(texts, key) ? texts[key] : undefined
  if (!text || typeof setting !== 'string') return typeof settings[key] === typeof setting
  return !text.options || text.options.some(([value]) => value === setting)
}

function changeSettings(
  { frame }: DraftDocs,
  addOn: AddOn,
  settings: AddOn['settings'],
): EditProblem | undefined {
  for (const [key, setting] of Object.entries(settings)) {
    if (!isFit(addOn, key, setting)) return 'setting-unknown'
    if (isColorDecision(setting) && isBound(setting) && !frame.palette.slots[setting.slot]) {
      return 'slot-gone'
    }
  }
  Object.assign(addOn.settings, settings)
}

/** Changes settings of an add-on, or its name. */
export const setAddOn = defineEdit<z.infer<typeof setAddOnCommand>>({
  type: 'setAddOn',
  schema: setAddOnCommand,
  apply(draft, { id, name, settings = {} }) {
    const addOn = draft.frame.addOns.find((each) => each.id === id)
    if (!addOn) return 'add-on-gone'
    const problem = changeSettings(draft, addOn, settings)
    if (problem) return problem
    if (name !== undefined) addOn.name = name
  },
  describe({ id, name, settings = {} }, { frame }) {
    const addOn = frame.addOns.find((each) => each.id === id)
    if (name !== undefined) return `Add-on ${addOn?.name ?? id} renamed ${name}`
    const labels = Object.keys(settings).map((key) => settingLabel(addOn, key).toLowerCase())
    return `${addOn?.name ?? id}: ${labels.join(', ') || 'as it is'}`.slice(0, 200)
  },
})

function settingLabel(addOn: AddOn | undefined, key: string): string {
  if (!addOn || addOn.kind === 'other') return key
  const { colors, texts } = addOnKindOf(addOn.kind)
  return colors[key]?.label ?? texts[key]?.label ?? key
}

const removeAddOnCommand = z.strictObject({ type: z.literal('removeAddOn'), id: addOnId })

/** Takes an add-on off the site, its settings with it. */
export const removeAddOn = defineEdit<z.infer<typeof removeAddOnCommand>>({
  type: 'removeAddOn',
  schema: removeAddOnCommand,
  apply({ frame }, { id }) {
    const at = frame.addOns.findIndex((each) => each.id === id)
    if (at < 0) return 'add-on-gone'
    frame.addOns.splice(at, 1)
  },
  describe: ({ id }, { frame }) =>
    `Add-on ${frame.addOns.find((each) => each.id === id)?.name ?? id} taken off the site`,
})
