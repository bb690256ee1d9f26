import { isUnreadable, recordKinds, type RecordKind } from '@/core/site'
import { database } from '../database/connection'
import { select, tell } from '../database/sets'
import { readersVersion } from '../uses/rows'
import { readContent, type Content } from './stored'
import { putRecords, readyWrite } from './store'

interface Behind extends Content {
  readonly no: string
  readonly site_id: string
  readonly kind: RecordKind
  readonly id: string
}

/** Records at a time: no more than these are in memory. */
const AT_ONCE = 100

/** The next records whose shape, or whose readers, are not those of today. */
function nextBehind(after: string): Promise<Behind[]> {
  const kinds = Object.keys(recordKinds) as RecordKind[]
  return select<Behind>(
    `select r.no, r.site_id, r.kind, r.id, c.hash, c.schema, c.body
     from records r join contents c on c.site_id = r.site_id and c.hash = r.hash
     join unnest($1::text[], $2::int[]) as today (kind, version) on today.kind = r.kind
     where (c.schema <> today.version or r.readers <> $3) and r.no > $4
     order by r.no limit ${AT_ONCE}`,
    [kinds, kinds.map((kind) => recordKinds[kind].version), readersVersion, after],
  )
}

async function renew(batch: readonly Behind[]): Promise<void> {
  const bySite = new Map<string, Behind[]>()
  for (const each of batch) bySite.set(each.site_id, [...(bySite.get(each.site_id) ?? []), each])
  await database().transaction(async (transaction) => {
    for (const [siteId, records] of bySite) {
      const writes = records.flatMap(({ kind, id, ...content }) => {
        try {
          return [readyWrite({ kind, id }, readContent(kind, content, { remember: false }))]
        } catch (error) {
          // It stays as it is, and its site is told to be unreadable where it is asked for.
          if (!isUnreadable(error)) throw error
          return []
        }
      })
      const [row] = await select<{ revision: number }>(
        'select revision from sites where id = $1 for no key update',
        [siteId],
        transaction,
      )
      await putRecords(siteId, row!.revision, writes, transaction)
    }
  })
}

/**
 * Brings every record to today's shape and has the readers read it anew where
 * they have learnt something; done when the application is made ready. Returns
 * how many records there were. One that cannot be read is left as it is.
 */
export async function bringUpToDate(): Promise<number> {
  let count = 0
  let last = '0'
  for (;;) {
    const batch = await nextBehind(last)
    if (batch.length === 0) return count
    await renew(batch)
    count += batch.length
    last = batch.at(-1)!.no
  }
}

/** Has the readers read every record of a site anew. */
export async function rebuildIndex(siteId: string): Promise<void> {
  await tell('update records set readers = 0, index_hash = null where site_id = $1', [siteId])
  await bringUpToDate()
}
