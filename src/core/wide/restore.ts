import * as z from 'zod'
import { changesOfRecord } from '../site'
import { defineWide, ready, refuse } from './wide'

const restoreIntent = z.strictObject({ type: z.literal('restore'), checkpoint: z.uuid() })

/** Goes back to a checkpoint: what differs from it, and nothing else. Being an edit, it can be undone like any other. */
export const restore = defineWide({
  type: 'restore',
  schema: restoreIntent,
  asks: ['checkpoint'],
  prepare({ checkpoint }: z.infer<typeof restoreIntent>, { checkpoint: name }) {
    return name === undefined ? refuse('checkpoint-gone') : ready({ checkpoint, name })
  },
  reach: ({ checkpoint }) => ({ checkpoint }),
  plan(_ready, { read, target }) {
    const changes = changesOfRecord(read(), target)
    return { changes, count: changes.length ? 1 : 0 }
  },
  describe: ({ name }) => `Back to the checkpoint “${name}”`,
})
