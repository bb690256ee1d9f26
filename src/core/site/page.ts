import { z } from 'zod'
import { schemaVersion } from './frame'
import { pageId } from './ids'
import { nameText } from './text'
import { bodySchema } from './section'

export const pageSchema = z.strictObject({
  schema: z.literal(schemaVersion),
  id: pageId,
  title: nameText,
  /** File name without ending; `index` is the home page. */
  path: z.string().regex(/^[a-z0-9][a-z0-9-]{0,60}$/),
  description: z.string().max(400),
  body: bodySchema,
})

export type Page = z.infer<typeof pageSchema>
