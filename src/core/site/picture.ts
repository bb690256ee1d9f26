import * as z from 'zod'
import { pictureId, slotId } from './ids'
import { mostSlots } from './palette'
import { plainText } from './text'
import { isAbove, unchanged, withWholes, type Stored, type UpgradeStep } from './upgrade-steps'

/** SHA-256 of bytes, in hexadecimal digits: under it a file lies in the file store. */
export const fileHash = z.string().regex(/^[0-9a-f]{64}$/, 'not the hash of a file')

/** A file's name as published sites have it: no folder, nothing that an address would read otherwise. */
export const fileName = z.string().regex(/^[A-Za-z0-9][\w.-]{0,119}$/, 'not a file name')

/** The endings that files of each media type have; a new one takes the first. */
export const pictureEndings = {
  'image/svg+xml': ['svg'],
  'image/jpeg': ['jpg', 'jpeg'],
  'image/png': ['png'],
  'image/webp': ['webp'],
  'image/avif': ['avif'],
} as const
export type PictureMediaType = keyof typeof pictureEndings
const mediaTypes = Object.keys(pictureEndings) as PictureMediaType[]

const endsWith = (name: string, endings: readonly string[]) =>
  endings.some((ending) => name.toLowerCase().endsWith(`.${ending}`))

/**
 * Whether a file name ends as files of a media type do. Web servers tell a file's type by its
 * ending, so a picture called `offer.html` would be shown as a page.
 */
export const isNamedAs = (fileName: string, mediaType: PictureMediaType): boolean =>
  endsWith(fileName, pictureEndings[mediaType])

export const pictureVersion = 4

/** The members of a picture: its file, how large it is in pixels, what it shows in words. */
export const pictureFields = z.strictObject({
  schema: z.literal(pictureVersion),
  id: pictureId,
  file: fileHash,
  fileName,
  mediaType: z.enum(mediaTypes),
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

export const pictureSchema = pictureFields.refine(
  ({ fileName, mediaType }) => isNamedAs(fileName, mediaType),
  { path: ['fileName'], message: 'the ending of the file name is that of another media type' },
)

export type Picture = z.infer<typeof pictureSchema>
export type Pictures = Readonly<Record<string, Picture>>

export const pictureSteps: Readonly<Record<number, UpgradeStep>> = {
  // 2: a picture can have a focus.
  1: unchanged,
  // 3: a vector picture can follow slots.
  2: unchanged,
  // 4: the ending of a file name says the media type.
  3: {
    record: withOwnEnding,
    change: (change) => {
      if (change.path.length === 0) return withWholes(change, withOwnEnding)
      if (!isAbove(change, 'fileName') || 'at' in change) return change
      // The media type is not part of the change, so a foreign ending cannot be carried over.
      const known = Object.values(pictureEndings).flat()
      const isKnown = (name: unknown) => typeof name === 'string' && endsWith(name, known)
      return isKnown(change.from) && isKnown(change.to) ? change : undefined
    },
  },
}

/** A picture whose file name got the ending of its media type, where it had another one. */
function withOwnEnding(picture: Stored): Stored {
  const { fileName: name, mediaType } = picture as { fileName: string; mediaType: PictureMediaType }
  if (isNamedAs(name, mediaType)) return picture
  return { ...picture, fileName: `${name.slice(0, 110)}.${pictureEndings[mediaType][0]}` }
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
