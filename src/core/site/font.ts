import * as z from 'zod'
import { fontId } from './ids'
import { fileHash, fileName } from './picture'
import { nameText, plainText } from './text'
import { unchanged, type UpgradeStep } from './upgrade-steps'

export const fontVersion = 2

/** A font file of the site's own: `family` as the type settings name it, weights as a range of CSS (100…900). */
export const fontSchema = z.strictObject({
  schema: z.literal(fontVersion),
  id: fontId,
  file: fileHash,
  fileName,
  family: nameText,
  style: z.enum(['normal', 'italic']),
  weights: z
    .tuple([z.number().int().min(1).max(1000), z.number().int().min(1).max(1000)])
    .refine(([least, most]) => least <= most, 'the lightest weight comes first'),
  /** Who may use it, in words. */
  license: plainText(400),
  /** Its rights let it be embedded as a whole only. */
  whole: z.literal(true).optional(),
})

export type Font = z.infer<typeof fontSchema>
export type Fonts = Readonly<Record<string, Font>>

export const fontSteps: Readonly<Record<number, UpgradeStep>> = {
  // 2: some are embedded as a whole only.
  1: unchanged,
}
