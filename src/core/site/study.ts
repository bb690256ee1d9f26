import { z } from 'zod'
import { nameText } from './palette'
import { colorText } from './paint'

/** A candidate palette kept beside the current one, not yet applied. */
export const studySchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{1,48}$/),
  name: nameText,
  colors: z
    .array(z.strictObject({ value: colorText, name: nameText.optional() }))
    .min(1)
    .max(256),
})

export const mostStudies = 24

export type Study = z.infer<typeof studySchema>
