import PgBoss from 'pg-boss'
import type pg from 'pg'
import type { Transaction } from 'sequelize'
import { shapeOfToday } from './shape'

/** The one queue of a shape; which work it is, the job's row tells. */
export const queueName = `work-${shapeOfToday}`

const held = globalThis as { easelQueue?: Promise<PgBoss> }

/**
 * The queue lives in the same database, in a schema of its own. Only workers
 * look after it (`supervise`): servers put work in and nothing else.
 */
export function queue(supervise = false): Promise<PgBoss> {
  held.easelQueue ??= open(supervise).catch((error: unknown) => {
    delete held.easelQueue
    throw error
  })
  return held.easelQueue
}

async function open(supervise: boolean): Promise<PgBoss> {
  const boss = new PgBoss({
    connectionString: process.env.DATABASE_URL!,
    max: 2,
    supervise,
    schedule: false,
    // Work that was not ended within this time counts as lost and is begun anew.
    expireInMinutes: 60,
    retryLimit: 3,
    archiveCompletedAfterSeconds: 3600,
  })
  // What goes wrong in the background shows where the queue is asked next.
  boss.on('error', (error) => console.error('queue:', error.message))
  await boss.start()
  await boss.createQueue(queueName)
  return boss
}

export async function closeQueue(): Promise<void> {
  const open = held.easelQueue
  delete held.easelQueue
  await (await open)?.stop({ graceful: false, wait: true })
}

/** Puts work into the queue within a transaction, so that it is there exactly if its row is. */
export async function enqueue(job: string, transaction: Transaction): Promise<void> {
  const boss = await queue()
  const { connection } = transaction as unknown as { readonly connection: pg.Client }
  const executeSql = (text: string, bind: unknown[]) => connection.query(text, bind)
  await boss.send(queueName, { job }, { db: { executeSql } })
}
