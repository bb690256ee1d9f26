import type { Transaction } from 'sequelize'
import { reversed, type Change } from '@/core/changes'
import {
  readChanges,
  recordKinds,
  type RecordChange,
  type RecordKind,
  type RecordRef,
} from '@/core/site'
import type { ReachedRecord } from '../uses/questions'
import { insertRows, select, type Columns } from '../database/sets'

interface StoredChanges {
  readonly site_id: string
  readonly revision: number
  readonly n: number
  readonly kind: RecordKind
  readonly id: string
  readonly schema: number
  readonly changes: string
}
export const editRecordColumns: Columns<StoredChanges> = {
  site_id: 'text',
  revision: 'int',
  n: 'int',
  kind: 'text',
  id: 'text',
  schema: 'int',
  changes: 'text',
}

/** Keeps the changes of one edit, by record, in the shape that the records have today. */
export function keepChanges(
  siteId: string,
  revision: number,
  changes: readonly RecordChange[],
  transaction: Transaction,
): Promise<void> {
  const rows = changes.map(({ kind, id, changes: own }, n) => ({
    site_id: siteId,
    revision,
    n,
    kind,
    id,
    schema: recordKinds[kind].version,
    changes: JSON.stringify(own),
  }))
  return insertRows('edit_records', editRecordColumns, rows, transaction)
}

/** What an edit did was told in a shape that today's records cannot be led back from. */
export class HistoryClosed extends Error {}

/** Which way a stored change is gone. */
export type Way = 'forth' | 'back'

function readRow({ kind, id, schema, changes }: StoredChanges, way: Way): RecordChange | undefined {
  const carried = readChanges(kind, schema, JSON.parse(changes) as Change[])
  return carried && { kind, id, changes: way === 'forth' ? carried : reversed(carried) }
}

/** The changes of one edit in today's shape; `closed` where an upgrade could not carry them over. */
export async function changesOf(
  siteId: string,
  revision: number,
  way: Way,
  transaction?: Transaction,
  refs?: readonly RecordRef[],
): Promise<readonly RecordChange[] | 'closed'> {
  const some = refs ? 'and (kind, id) in (select * from unnest($3::text[], $4::text[]))' : ''
  const named = refs ? [refs.map(({ kind }) => kind), refs.map(({ id }) => id)] : []
  const rows = await select<StoredChanges>(
    `select * from edit_records where site_id = $1 and revision = $2 ${some} order by n`,
    [siteId, revision, ...named],
    transaction,
  )
  const read = rows.flatMap((row) => readRow(row, way) ?? [])
  if (read.length < rows.length) return 'closed'
  return way === 'forth' ? read : read.reverse()
}

/** How many records an edit changed. */
export async function countRecords(
  siteId: string,
  revision: number,
  transaction: Transaction,
): Promise<number> {
  const [row] = await select<{ count: number }>(
    'select count(*)::int as count from edit_records where site_id = $1 and revision = $2',
    [siteId, revision],
    transaction,
  )
  return row!.count
}

/** The records that an edit changed, as they are now; of those that changed after a revision. */
export function recordsOfEdit(
  siteId: string,
  revision: number,
  after: number,
  transaction?: Transaction,
): Promise<ReachedRecord[]> {
  return select<ReachedRecord>(
    `select e.kind, e.id, r.hash from edit_records e
       left join records r on r.site_id = e.site_id and r.kind = e.kind and r.id = e.id
     where e.site_id = $1 and e.revision = $2 and coalesce(r.revision, 0) > $3 order by e.n`,
    [siteId, revision, after],
    transaction,
  )
}
