import * as z from 'zod'
import { pictureId } from './ids'
import { plainText } from './text'
import type { UpgradeStep } from './upgrade-steps'

/** SHA-256 of bytes, in hexadecimal digits: under it a file lies in the file store. */
export const fileHash = z.string().regex(/^[0-9a-f]{64}$/, 'not the hash of a file')

/** A file's name as published sites have it: no folder, nothing that an address would read otherwise. */
export const fileName = z.string().regex(/^[A-Za-z0-9][\w.-]{0,119}$/, 'not a file name')

export const pictureVersion = 1

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
})

export type Picture = z.infer<typeof pictureSchema>
export type Pictures = Readonly<Record<string, Picture>>

export const pictureSteps: Readonly<Record<number, UpgradeStep>> = {}
