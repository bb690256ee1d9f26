import { z } from 'zod'
import { frameSchema, pageSchema } from '../site'
import { defineEdit } from './edit'

const restoreCommand = z.strictObject({
  type: z.literal('restore'),
  checkpoint: z.string().max(120),
  frame: frameSchema,
  pages: z.array(pageSchema).max(500),
})

/** Goes back to a checkpoint; being an edit, it can be undone like any other. */
export const restore = defineEdit<z.infer<typeof restoreCommand>>({
  type: 'restore',
  schema: restoreCommand,
  pages: ({ pages }) => pages.map(({ id }) => id),
  apply(draft, { frame, pages }) {
    if (pages.some(({ id }) => !draft.pages[id])) return 'page-gone'
    draft.frame = frame
    for (const page of pages) draft.pages[page.id] = page
  },
  describe: ({ checkpoint }) => `Back to the checkpoint “${checkpoint}”`,
})
