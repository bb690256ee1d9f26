import pg from 'pg'
import type { Transaction } from 'sequelize'
import { tell } from '../database/sets'

/** What servers and workers on one database tell each other: ids alone, for there is little room. */
export type News =
  | { readonly what: 'landed'; readonly site: string; readonly revision: number }
  | { readonly what: 'job'; readonly site: string; readonly job: string }
  | { readonly what: 'present'; readonly site: string }

const CHANNEL = 'easel'

/** Tells it to whoever hears; within a transaction, when that has become final. */
export const announce = (news: News, transaction?: Transaction): Promise<void> =>
  tell('select pg_notify($1, $2)', [CHANNEL, JSON.stringify(news)], transaction)

type Hearer = (news: News | 'missed') => void

interface Ear {
  readonly hearers: Set<Hearer>
  client?: pg.Client
  closed: boolean
  /** Closes it when nobody has heard for a while. */
  resting?: NodeJS.Timeout
}
const held = globalThis as { easelEar?: Ear }

/** Waits between tries to hear again, in milliseconds. */
const RETRY = 1000
/** How long an ear stays open that nobody hears with, in milliseconds: most who stop are soon followed by others. */
const REST = 60_000

async function listen(ear: Ear): Promise<void> {
  const client = new pg.Client({ connectionString: process.env.DATABASE_URL })
  ear.client = client
  const again = () => {
    if (ear.closed || ear.client !== client) return
    delete ear.client
    setTimeout(() => {
      if (!ear.closed && ear.hearers.size) void listen(ear)
    }, RETRY).unref()
  }
  client.on('error', again)
  client.on('end', again)
  client.on('notification', ({ payload }) => {
    if (!payload) return
    const news = JSON.parse(payload) as News
    for (const hear of ear.hearers) hear(news)
  })
  try {
    await client.connect()
    await client.query(`listen ${CHANNEL}`)
    // What was told before that, or while nobody heard, has to be asked for.
    for (const hear of ear.hearers) hear('missed')
  } catch {
    client.end().catch(() => undefined)
    again()
  }
}

/** Hears all news of this database, by one connection for the whole process. Returns what ends it. */
export function hearNews(hearer: Hearer): () => void {
  const ear = (held.easelEar ??= { hearers: new Set(), closed: false })
  ear.hearers.add(hearer)
  clearTimeout(ear.resting)
  if (!ear.client) void listen(ear)
  return () => {
    ear.hearers.delete(hearer)
    if (ear.closed || ear.hearers.size) return
    clearTimeout(ear.resting)
    ear.resting = setTimeout(() => void stopHearing(), REST).unref()
  }
}

export async function stopHearing(): Promise<void> {
  const ear = held.easelEar
  delete held.easelEar
  if (!ear) return
  ear.closed = true
  clearTimeout(ear.resting)
  await ear.client?.end().catch(() => undefined)
}
