import type PgBoss from 'pg-boss'
import { select } from '../database/sets'
import { database } from '../database/connection'
import { hearNews } from '../live/hear'
import { tidyUp } from '../records'
import { queue, queueName } from './queue'
import { shapeOfToday } from './shape'
import { giveUp, workOn } from './work'

/** How long to wait for news before asking for work all the same, in milliseconds. */
const PATIENCE = 2000
/** How often to look for work that nobody is at any more, in milliseconds. */
const LOOK = 5000
/** How often what nothing can reach any more is taken away, in milliseconds. */
const TIDY = 3_600_000
/** How often one piece of work is begun before it is given up. */
const MOST_TRIES = 3

interface Wake {
  /** Resolves once there may be something to do, or after a while. */
  readonly wait: (patience: number) => Promise<void>
  readonly wake: () => void
}

function wakeable(): Wake {
  let woken = false
  let resolve: () => void = () => undefined
  return {
    wake() {
      woken = true
      resolve()
    },
    async wait(patience) {
      if (!woken) {
        let timer: NodeJS.Timeout | undefined
        await new Promise<void>((done) => {
          resolve = done
          timer = setTimeout(done, patience)
        })
        clearTimeout(timer)
      }
      woken = false
    },
  }
}

/** Work that a worker was at when it, or the database, was killed goes back into the queue: its lock is free. */
async function takeBack(boss: PgBoss): Promise<void> {
  const running = await select<{ id: string }>(
    `select id from jobs where state = 'running' and shape = $1`,
    [shapeOfToday],
  )
  for (const { id } of running) {
    const isFree = await withLock(id, () => Promise.resolve(true))
    if (!isFree) continue
    await boss.send(queueName, { job: id })
  }
}

/** What was begun before an upgrade and is not over is done in the shape of today. */
async function takeOver(boss: PgBoss): Promise<void> {
  const older = await select<{ id: string }>(
    `update jobs set shape = $1
     where state in ('waiting', 'running') and shape is distinct from $1 returning id`,
    [shapeOfToday],
  )
  for (const { id } of older) await boss.send(queueName, { job: id })
}

/** Runs work while a lock of its own is held, which goes with the connection; undefined where somebody else holds it. */
async function withLock<T>(id: string, work: () => Promise<T>): Promise<T | undefined> {
  return database().transaction(async (transaction) => {
    const [row] = await select<{ mine: boolean }>(
      'select pg_try_advisory_xact_lock(hashtext($1)) as mine',
      [`job ${id}`],
      transaction,
    )
    return row?.mine ? work() : undefined
  })
}

/** Does the next piece of work; false where there was none. */
async function workOnce(boss: PgBoss, tries: Map<string, number>): Promise<boolean> {
  const [next] = await boss.fetch<{ job: string }>(queueName)
  if (!next) return false
  const { job } = next.data
  const times = (tries.get(job) ?? 0) + 1
  tries.set(job, times)
  try {
    await withLock(job, () => workOn(job))
    await boss.complete(queueName, next.id)
    tries.delete(job)
  } catch (error) {
    console.error(`job ${job}:`, error)
    if (times >= MOST_TRIES) {
      await giveUp(job)
      await boss.complete(queueName, next.id)
    } else await boss.fail(queueName, next.id)
  }
  return true
}

/** Works until it is told to stop; what it is at then, it ends. Returns what stops it. */
export async function startWorker(): Promise<() => Promise<void>> {
  const boss = await queue(true)
  await takeOver(boss)
  const waking = wakeable()
  const tries = new Map<string, number>()
  let running = true
  const stopHearing = hearNews(waking.wake)
  let looked = -Infinity
  let tidied = performance.now()
  const loop = (async () => {
    while (running) {
      try {
        if (performance.now() - looked > LOOK) {
          await takeBack(boss)
          looked = performance.now()
        }
        if (await workOnce(boss, tries)) continue
        if (performance.now() - tidied > TIDY) {
          tidied = performance.now()
          await tidyUp()
        }
      } catch (error) {
        // The database is away: it is asked again after a while.
        console.error('worker:', (error as Error).message)
      }
      await waking.wait(PATIENCE)
    }
  })()
  return async () => {
    running = false
    waking.wake()
    stopHearing()
    await loop
  }
}
