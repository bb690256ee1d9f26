import type { Draft } from 'immer'
import * as z from 'zod'
import {
  colorText,
  heldBefore,
  mostSlots,
  mostSteps,
  typedName,
  plainText,
  shadeScaleSchema,
  slotId,
  slotName,
  type Slot,
} from '../site'
import { defineEdit } from './edit'

/** Sets a slot's value and remembers the one before. */
export function takeValue(slot: Draft<Slot>, value: string | null): void {
  slot.was = heldBefore(slot, value)
  slot.value = value
}

const setSlotCommand = z.strictObject({
  type: z.literal('setSlot'),
  slot: slotId,
  value: colorText.nullable(),
})

export const setSlot = defineEdit<z.infer<typeof setSlotCommand>>({
  type: 'setSlot',
  schema: setSlotCommand,
  apply(draft, { slot: id, value }) {
    const slot = draft.frame.palette.slots[id]
    if (!slot) return 'slot-gone'
    takeValue(slot, value)
  },
  describe: ({ slot, value }, { frame }) =>
    `${slotName(frame.palette, slot)} ${value === null ? 'emptied' : `set to ${value}`}`,
})

const addSlotCommand = z.strictObject({
  type: z.literal('addSlot'),
  slot: slotId,
  name: typedName,
  value: colorText.nullable(),
})

export const addSlot = defineEdit<z.infer<typeof addSlotCommand>>({
  type: 'addSlot',
  schema: addSlotCommand,
  apply(draft, { slot: id, name, value }) {
    const { palette } = draft.frame
    if (palette.slots[id]) return 'slot-taken'
    if (palette.order.length >= mostSlots) return 'slots-full'
    palette.slots[id] = { id, name, value, was: [] }
    palette.order = [...palette.order, id]
  },
  describe: ({ name, value }) => `Slot ${name} added${value ? `, ${value}` : ', empty'}`,
})

const renameSlotCommand = z.strictObject({
  type: z.literal('renameSlot'),
  slot: slotId,
  name: typedName,
})

export const renameSlot = defineEdit<z.infer<typeof renameSlotCommand>>({
  type: 'renameSlot',
  schema: renameSlotCommand,
  apply(draft, { slot: id, name }) {
    const slot = draft.frame.palette.slots[id]
    if (!slot) return 'slot-gone'
    slot.name = name
  },
  describe: ({ slot, name }, { frame }) => `${slotName(frame.palette, slot)} renamed to ${name}`,
})

const noteSlotCommand = z.strictObject({
  type: z.literal('noteSlot'),
  slot: slotId,
  note: plainText(200),
})

export const noteSlot = defineEdit<z.infer<typeof noteSlotCommand>>({
  type: 'noteSlot',
  schema: noteSlotCommand,
  apply(draft, { slot: id, note }) {
    const slot = draft.frame.palette.slots[id]
    if (!slot) return 'slot-gone'
    if (note.trim()) slot.note = note.trim()
    else delete slot.note
  },
  describe: ({ slot }, { frame }) => `${slotName(frame.palette, slot)}: what it is for`,
})

const orderSlotsCommand = z.strictObject({
  type: z.literal('orderSlots'),
  order: z.array(slotId).max(mostSlots),
})

/** Puts the slots in an order; it must name every slot once. */
export const orderSlots = defineEdit<z.infer<typeof orderSlotsCommand>>({
  type: 'orderSlots',
  schema: orderSlotsCommand,
  apply({ frame: { palette } }, { order }) {
    if ([...order].sort().join() !== [...palette.order].sort().join()) return 'slot-gone'
    if (order.join() !== palette.order.join()) palette.order = order
  },
  describe: () => 'Slots put in another order',
})

const groupSlotCommand = z.strictObject({
  type: z.literal('groupSlot'),
  slot: slotId,
  /** Null takes the slot out of its group; in one, it stands behind the group's last slot. */
  group: typedName.nullable(),
})

export const groupSlot = defineEdit<z.infer<typeof groupSlotCommand>>({
  type: 'groupSlot',
  schema: groupSlotCommand,
  apply(draft, { slot: id, group }) {
    const { palette } = draft.frame
    const slot = palette.slots[id]
    if (!slot) return 'slot-gone'
    if (!group) {
      delete slot.group
      return undefined
    }
    slot.group = group
    const others = palette.order.filter((each) => each !== id)
    const last = others.findLastIndex((each) => palette.slots[each]?.group === group)
    if (last >= 0) palette.order = others.toSpliced(last + 1, 0, id)
  },
  describe: ({ slot, group }, { frame }) =>
    `${slotName(frame.palette, slot)} ${group ? `put into ${group}` : 'taken out of its group'}`,
})

const setShadesCommand = z.strictObject({
  type: z.literal('setShades'),
  /** Null means the whole palette. */
  slot: slotId.nullable(),
  /** Null lets a slot follow the palette again; for the palette itself it changes nothing. */
  scale: shadeScaleSchema.nullable(),
})

/** Sets how many shades are offered, and how far apart. Shades that are in use stay what they are. */
export const setShades = defineEdit<z.infer<typeof setShadesCommand>>({
  type: 'setShades',
  schema: setShadesCommand,
  apply({ frame: { palette } }, { slot: id, scale }) {
    if (id === null) {
      if (scale) palette.shades = scale
      return undefined
    }
    const slot = palette.slots[id]
    if (!slot) return 'slot-gone'
    if (scale) slot.shades = scale
    else delete slot.shades
  },
  describe({ slot, scale }, { frame }) {
    const whose = slot ? slotName(frame.palette, slot) : 'The palette'
    if (!scale) return `${whose}: shades as the palette has them`
    return `${whose}: ${scale.lighter} lighter and ${scale.darker} darker shades, ${scale.step} apart`
  },
})

const setStepCommand = z.strictObject({
  type: z.literal('setStep'),
  slot: slotId,
  /** Points of OKLCH lightness from the slot itself. */
  step: z.int().min(-100).max(100),
  /** Null lets the step be computed again. */
  value: colorText.nullable(),
})

/** Gives one step of a slot's ramp a colour of its own, everywhere that the step is used, or lets it be computed again. */
export const setStep = defineEdit<z.infer<typeof setStepCommand>>({
  type: 'setStep',
  schema: setStepCommand,
  apply({ frame: { palette } }, { slot: id, step, value }) {
    const slot = palette.slots[id]
    if (!slot) return 'slot-gone'
    // The slot itself is no step of it.
    if (step === 0) return 'step-unknown'
    const { [step]: _before, ...others } = slot.steps ?? {}
    const steps = value === null ? others : { ...others, [step]: value }
    const count = Object.keys(steps).length
    if (count > mostSteps) return 'steps-full'
    if (count) slot.steps = steps
    else delete slot.steps
  },
  describe({ slot, step, value }, { frame }) {
    const name = `${slotName(frame.palette, slot)} ${step > 0 ? '+' : '−'}${Math.abs(step)}`
    return value === null ? `${name} computed again` : `${name}: ${value}, its own`
  },
})
