import * as z from 'zod'

/**
 * Ids are short, readable and never change. They stand in CSS names
 * (`--slot-brand`, `[data-theme="on-ink"]`), so they keep to lower-case
 * letters, digits and hyphens.
 */
const idText = z
  .string()
  .regex(/^[a-z][a-z0-9-]{0,47}$/, 'not an id')
  .refine((id) => !isReserved(id), 'not an id')

/** Names that every object answers to (`constructor`): no id, for whatever looks one up would find something. */
const isReserved = (id: string) => id in Object.prototype

export const slotId = idText.brand<'SlotId'>()
export const themeId = idText.brand<'ThemeId'>()
export const styleId = idText.brand<'StyleId'>()
export const sectionId = idText.brand<'SectionId'>()
export const elementId = idText.brand<'ElementId'>()
/** No page is called as the frame, which holds sections as well. */
export const pageId = idText
  .refine((id) => id !== 'frame', 'not the id of a page')
  .brand<'PageId'>()
export const pictureId = idText.brand<'PictureId'>()
export const fontId = idText.brand<'FontId'>()

export type SlotId = z.infer<typeof slotId>
export type ThemeId = z.infer<typeof themeId>
export type StyleId = z.infer<typeof styleId>
export type SectionId = z.infer<typeof sectionId>
export type ElementId = z.infer<typeof elementId>
export type PageId = z.infer<typeof pageId>
export type PictureId = z.infer<typeof pictureId>
export type FontId = z.infer<typeof fontId>

/** What holds sections: the frame, or one of the pages. */
export const docId = z.union([z.literal('frame'), pageId])
export type DocId = z.infer<typeof docId>

/** An id made from a name, not among those taken: `Soft grey` → `soft-grey`, `soft-grey-2`. */
export function idFromName(name: string, taken: Iterable<string>, fallback: string): string {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+|-+$/g, '')
    .slice(0, 40)
    .replace(/-+$/, '')
  const stem = plain || fallback
  const used = new Set(taken)
  if (!used.has(stem) && !isReserved(stem)) return stem
  let number = 2
  while (used.has(`${stem}-${number}`)) number += 1
  return `${stem}-${number}`
}
