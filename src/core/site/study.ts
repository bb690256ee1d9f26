import * as z from 'zod'
import { slotSchema } from './palette'
import { nameText } from './text'
import { colorText } from './paint'

/** A colour on its way into a slot, with what else is known of it. */
export const candidateSchema = slotSchema
  .pick({ note: true, group: true, extensions: true })
  .extend({ value: colorText, name: nameText.optional() })

export type Candidate = z.infer<typeof candidateSchema>

/** Most colours that one study, or one file, gives. */
export const mostCandidates = 256

/** A candidate palette kept beside the current one, not yet applied. */
export const studySchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{1,48}$/),
  name: nameText,
  colors: z.array(candidateSchema).min(1).max(mostCandidates),
})

export const mostStudies = 24

export type Study = z.infer<typeof studySchema>
