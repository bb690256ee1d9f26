import * as z from 'zod'
import { fontId } from './ids'
import { fileHash, fileName } from './picture'
import { nameText, plainText } from './text'
import { unchanged, withWholes, type Stored, type UpgradeStep } from './upgrade-steps'

export const fontVersion = 3

/** A font file of the site's own: `family` as the type settings name it, weights as a range of CSS (100…900). */
export const fontSchema = z.strictObject({
  schema: z.literal(fontVersion),
  id: fontId,
  file: fileHash,
  /** Fonts are kept as WOFF2; web servers tell that by the ending. */
  fileName: fileName.regex(/\.woff2$/i, 'not the file name of a WOFF2 font'),
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
  // 3: the ending of a file name says that it is WOFF2.
  2: {
    record: withOwnEnding,
    change: (change) => (change.path.length === 0 ? withWholes(change, withOwnEnding) : change),
  },
}

function withOwnEnding(font: Stored): Stored {
  const { fileName: name } = font as { fileName: string }
  return /\.woff2$/i.test(name) ? font : { ...font, fileName: `${name.slice(0, 110)}.woff2` }
}
