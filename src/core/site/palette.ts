import * as z from 'zod'
import { slotId, type SlotId } from './ids'
import { colorText } from './paint'
import { nameText, plainText } from './text'

/** How a slot fans out: so many tints and shades, `step` points of OKLCH lightness (0…100) apart. */
export const shadeScaleSchema = z.strictObject({
  lighter: z.number().int().min(0).max(6),
  darker: z.number().int().min(0).max(6),
  step: z.number().int().min(1).max(25),
})

export type ShadeScale = z.infer<typeof shadeScaleSchema>

export const usualShadeScale: ShadeScale = { lighter: 2, darker: 2, step: 8 }

/** Longest `$extensions` of a design token that a slot keeps, as JSON, in UTF-16 units. */
export const mostExtensions = 4000

/** Most steps of one slot that have a colour of their own. */
export const mostSteps = 24

/** How many earlier values of a slot are remembered, for leftovers. */
const remembered = 40

/** A named place for one colour. `value` is null while the slot is empty; `was` keeps what it held before, newest last. */
export const slotSchema = z.strictObject({
  id: slotId,
  name: nameText,
  value: colorText.nullable(),
  was: z.array(colorText).max(remembered),
  /** What the slot is for, in the person's words. */
  note: plainText(200).optional(),
  /** Slots of one group stand together in the tray. */
  group: nameText.optional(),
  /** Where it differs from the palette's. */
  shades: shadeScaleSchema.optional(),
  /** Steps of lightness, −100…100, that have a colour of their own in place of the computed one. */
  steps: z
    .record(z.string().regex(/^-?[1-9]\d?$|^-?100$/), colorText)
    .refine((steps) => Object.keys(steps).length <= mostSteps, 'are too many')
    .optional(),
  /** What a design-token file said of it for other tools (`$extensions`); kept and written back. */
  extensions: z
    .record(z.string(), z.json())
    .refine((value) => JSON.stringify(value).length <= mostExtensions, 'is too long')
    .optional(),
})

/** What a slot is known to have held once it takes another value: each value once, newest last. */
export function heldBefore(
  { value, was }: Pick<Slot, 'value' | 'was'>,
  next: string | null,
): string[] {
  if (value === null || value === next) return was
  return [...was.filter((old) => old !== value), value].slice(-remembered)
}

export const mostSlots = 64

export const paletteSchema = z.strictObject({
  order: z.array(slotId).max(mostSlots),
  slots: z.record(slotId, slotSchema),
  shades: shadeScaleSchema,
  /** The slots as the design came, to return to. */
  original: z
    .array(z.strictObject({ id: slotId, name: nameText, value: colorText.nullable() }))
    .max(mostSlots),
})

export type Slot = z.infer<typeof slotSchema>
export type Palette = z.infer<typeof paletteSchema>

export function slotsInOrder(palette: Palette): Slot[] {
  return palette.order.flatMap((id) => palette.slots[id] ?? [])
}

/** The shade scale that holds for a slot: its own, or the palette's. */
export function shadeScaleOf(palette: Palette, id: SlotId): ShadeScale {
  return palette.slots[id]?.shades ?? palette.shades
}

/** Offsets of lightness of a scale, lightest first, with 0 for the slot itself. */
export function scaleSteps({ lighter, darker, step }: ShadeScale): number[] {
  return Array.from({ length: lighter + darker + 1 }, (_, i) => (lighter - i) * step)
}

export function slotName(palette: Palette, id: SlotId): string {
  return palette.slots[id]?.name ?? `missing slot ${id}`
}
