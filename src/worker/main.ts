import { constants, setPriority } from 'node:os'
import { closeDatabase } from '@/server/database/connection'
import { closeQueue, startWorker } from '@/server/jobs'
import { stopHearing } from '@/server/live'

// Long work steps aside for whoever asks.
setPriority(constants.priority.PRIORITY_LOW)

/** A process of its own beside the server: it does the long work, so that nobody who asks waits for it. */
const stop = await startWorker()

/** How often it says that it is well to who started it, in milliseconds. */
const BEAT = 5000
if (process.send) setInterval(() => process.send!('well'), BEAT).unref()

for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.once(signal, () => {
    void stop()
      .then(closeQueue)
      .then(stopHearing)
      .then(closeDatabase)
      .finally(() => process.exit(0))
  })
}
