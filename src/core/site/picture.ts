import * as z from 'zod'
import { pictureId, slotId } from './ids'
import { mostSlots } from './palette'
import { plainText } from './text'
import { unchanged, type UpgradeStep } from './upgrade-steps'

/** SHA-256 of bytes, in hexadecimal digits: under it a file lies in the file store. */
export const fileHash = z.string().regex(/^[0-9a-f]{64}$/, 'not the hash of a file')

/** A file's name as published sites have it: no folder, nothing that an address would read otherwise. */
export const fileName = z.string().regex(/^[A-Za-z0-9][\w.-]{0,119}$/, 'not a file name')

export const pictureVersion = 3

/** A picture of the site: its file, how large it is in pixels, what it shows in words. */
export const pictureSchema = z.strictObject({
  schema: z.literal(pictureVersion),
  id: pictureId,
  file: fileHash,
  fileName,
  mediaType: z.enum(['image/svg+xml', 'image/jpeg', 'image/png', 'image/webp', 'image/avif']),
  width: z.number().int().min(1).max(30_000),
  height: z.number().int().min(1).max(30_000),
  alt: plainText(400),
  /** The point that stays in sight where it is cut, in hundredths of its width and height; the middle where absent. */
  focus: z
    .strictObject({ x: z.number().min(0).max(100), y: z.number().min(0).max(100) })
    .optional(),
  /** The slots that a vector picture refers to in its file, and follows. */
  slots: z.array(slotId).min(1).max(mostSlots).optional(),
})

export type Picture = z.infer<typeof pictureSchema>
export type Pictures = Readonly<Record<string, Picture>>

export const pictureSteps: Readonly<Record<number, UpgradeStep>> = {
  // 2: a picture can have a focus.
  1: unchanged,
  // 3: a vector picture can follow slots.
  2: unchanged,
}

export type Focus = NonNullable<Picture['focus']>

/** Widths in pixels in which published sites have a picture beside its own. */
const narrowerWidths = [480, 960, 1600] as const

/** The narrower widths that are worth a file of their own; none of a vector, which is sharp in every one. */
export function widthsOf({ mediaType, width }: Pick<Picture, 'mediaType' | 'width'>): number[] {
  if (mediaType === 'image/svg+xml') return []
  return narrowerWidths.filter((narrow) => narrow <= width * 0.8)
}

/** The name of the file of a picture in a narrower width: `shop.480.jpg`. */
export const narrowerName = (fileName: string, width: number): string =>
  /\.[^.]+$/.test(fileName)
    ? fileName.replace(/\.([^.]+)$/, `.${width}.$1`)
    : `${fileName}.${width}`
