import { z } from 'zod'
import { slotId, type SlotId } from './ids'
import { colorText } from './paint'

/** Text that every store takes: no NUL, no half of a surrogate pair. */
export const plainText = (longest: number) =>
  z
    .string()
    .max(longest)
    .refine(
      (text) => text.isWellFormed() && !text.includes('\0'),
      'holds characters that cannot be kept',
    )

/** A name: one line of 1 to 60 characters. */
export const nameText = plainText(60)
  .transform((text) => text.replace(/\s+/g, ' ').trim())
  .pipe(z.string().min(1))

/** A named place for one colour. `value` is null while the slot is empty; `was` keeps what it held before, newest last. */
export const slotSchema = z.strictObject({
  id: slotId,
  name: nameText,
  value: colorText.nullable(),
  was: z.array(colorText).max(40),
  /** What the slot is for, in the person's words. */
  note: plainText(200).optional(),
})

export const mostSlots = 64

export const paletteSchema = z.strictObject({
  order: z.array(slotId).max(mostSlots),
  slots: z.record(slotId, slotSchema),
})

export type Slot = z.infer<typeof slotSchema>
export type Palette = z.infer<typeof paletteSchema>

export function slotsInOrder(palette: Palette): Slot[] {
  return palette.order.flatMap((id) => palette.slots[id] ?? [])
}

export function slotName(palette: Palette, id: SlotId): string {
  return palette.slots[id]?.name ?? `missing slot ${id}`
}
