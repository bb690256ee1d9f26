import path from 'node:path'
import { Piscina } from 'piscina'
import { valueOf, type Outcome } from './failure'

/** What is read, or worked out, in a thread of its own; `src/reader/main.ts` says how. */
export type Reading = 'font' | 'archive' | 'check'

/** Longest time that each may take, in seconds: whatever takes longer was made to. */
const LONGEST: Readonly<Record<Reading, number>> = {
  font: 15,
  archive: 240,
  check: 120,
}
/** Most memory that the objects of a thread may take, in MB; `EASEL_READER_MEMORY` where that is set. */
const mostMemory = () => Number(process.env.EASEL_READER_MEMORY ?? 1500)
/** How long a thread waits for more before it ends, in milliseconds. */
const IDLE = 20_000
/** How many are read or wait for it at most. */
const MOST_WAITING = 32

/** Why a reading did not come to an end. */
export class ReadingStopped extends Error {
  constructor(
    readonly why: 'too-long' | 'too-large' | 'too-many',
    cause?: unknown,
  ) {
    super(`reading stopped: ${why}`, { cause })
  }
}

let underWay = 0

const held = globalThis as { easelReaders?: Piscina }

/**
 * Threads beside the one that answers requests: what strangers made is read there, so that a
 * file made to take for ever or to fill the memory stops nothing but its own reading.
 */
function readers(): Piscina {
  held.easelReaders ??= new Piscina({
    filename: process.env.EASEL_READER ?? path.join(process.cwd(), '.easel', 'reader.mjs'),
    minThreads: 0,
    maxThreads: 2,
    idleTimeout: IDLE,
    resourceLimits: { maxOldGenerationSizeMb: mostMemory() },
    env: Object.fromEntries(
      Object.entries(process.env).filter(
        (entry): entry is [string, string] => entry[1] !== undefined,
      ),
    ),
  })
  return held.easelReaders
}

/** Ends the threads; the next reading starts new ones. */
export async function stopReaders(): Promise<void> {
  await held.easelReaders?.destroy()
  delete held.easelReaders
}

function stopped(error: unknown, hasTimedOut: boolean): unknown {
  if (hasTimedOut) return new ReadingStopped('too-long', error)
  const isFull = (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY'
  return isFull ? new ReadingStopped('too-large', error) : error
}

/** Reads something that a stranger made in a thread of its own; throws `ReadingStopped` where that takes too much. */
export async function readApart<T>(
  reading: Reading,
  given: object,
  seconds = LONGEST[reading],
): Promise<T> {
  if (underWay >= MOST_WAITING) throw new ReadingStopped('too-many')
  const limit = AbortSignal.timeout(seconds * 1000)
  underWay += 1
  let outcome: Outcome<T>
  try {
    outcome = (await readers().run(given, { name: reading, signal: limit })) as Outcome<T>
  } catch (error) {
    throw stopped(error, limit.aborted)
  } finally {
    underWay -= 1
  }
  return valueOf(outcome)
}
