import type { Transaction } from 'sequelize'
import type { Change } from '@/core/changes'
import type { RecordRef } from '@/core/site'
import { insertLong, insertRows, select, tell, type Columns } from '../database/sets'
import { putContents, type Written } from '../records'
import {
  bandColumns,
  exchange,
  indexColumns,
  lookColumns,
  readersVersion,
  useColumns,
} from '../uses/rows'
import {
  stagedTables,
  type EverywhereRow,
  type ExchangedRow,
  type IndexChange,
} from '../uses/index-change'

/** One record as a wide edit would leave it, beside the site until all are ready. */
export interface Staged extends RecordRef {
  /** The hash of the record that it was planned on; null where there was none. */
  readonly base: string | null
  /** Absent where the record goes. */
  readonly becomes?: { readonly write: Written; readonly index: IndexChange }
  readonly changes: readonly Change[]
  readonly counted: number
}

interface StagedRow {
  readonly job: string
  readonly at: number
  readonly kind: string
  readonly id: string
  readonly base_hash: string | null
  readonly hash: string | null
  readonly title: string | null
  readonly path: string | null
  readonly position: string | null
  readonly readers: number
  readonly index_hash: string | null
  readonly uses: number | null
  readonly bands: number | null
  readonly changes: string
  readonly counted: number
}
const stagedColumns: Columns<StagedRow> = {
  job: 'text',
  at: 'int',
  kind: 'text',
  id: 'text',
  base_hash: 'text',
  hash: 'text',
  title: 'text',
  path: 'text',
  position: 'text',
  readers: 'int',
  index_hash: 'text',
  uses: 'int',
  bands: 'int',
  changes: 'text',
  counted: 'int',
}

type Beside<T> = Omit<T, 'record'> & { readonly job: 'text'; readonly at: 'int' }
function beside<T extends { readonly record: string }>(columns: T): Beside<T> {
  const { record: _record, ...others } = columns
  return { ...others, job: 'text', at: 'int' }
}

const exchangedColumns: Columns<ExchangedRow & { readonly job: string; readonly at: number }> = {
  job: 'text',
  at: 'int',
  path: 'text',
  color: 'text',
  slot: 'text',
  shade: 'text',
  written: 'text',
}
const everywhereColumns: Columns<EverywhereRow & { readonly job: string; readonly at: number }> = {
  job: 'text',
  at: 'int',
  from_text: 'text',
  to_text: 'text',
  from_slot: 'text',
  from_shade: 'text',
  from_written: 'text',
  color: 'text',
  slot: 'text',
  shade: 'text',
  written: 'text',
}

/** Puts some records beside the site; their contents where all contents lie, for nothing refers to them yet. */
export async function stage(
  job: string,
  siteId: string,
  first: number,
  records: readonly Staged[],
): Promise<void> {
  const becoming = records.flatMap(({ becomes }) => (becomes ? [becomes.write] : []))
  await putContents(siteId, becoming)
  const rows = records.map(({ kind, id, base, becomes, changes, counted }, i): StagedRow => ({
    job,
    at: first + i,
    kind,
    id,
    base_hash: base,
    hash: becomes?.write.content.hash ?? null,
    title: becomes?.write.listed.title ?? null,
    path: becomes?.write.listed.path ?? null,
    position: becomes?.write.listed.position ?? null,
    readers: readersVersion,
    index_hash: becomes?.write.indexHash ?? null,
    uses: becomes ? becomes.index.counts.uses : 0,
    bands: becomes ? becomes.index.counts.bands : 0,
    changes: JSON.stringify(changes),
    counted,
  }))
  await insertLong('staged_records', stagedColumns, rows, undefined)
  const rowsOf = <Row extends object>(of: (index: IndexChange) => readonly Row[]) =>
    records.flatMap(({ becomes }, i) =>
      becomes
        ? of(becomes.index).map((row) => ({ ...row, site_id: siteId, job, at: first + i }))
        : [],
    )
  await insertRows(
    'staged_uses',
    beside(useColumns),
    rowsOf(({ rows: { uses } }) => uses),
    undefined,
  )
  await insertRows(
    'staged_bands',
    beside(bandColumns),
    rowsOf(({ rows: { bands } }) => bands),
    undefined,
  )
  await insertRows(
    'staged_looks',
    beside(lookColumns),
    rowsOf(({ rows: { looks } }) => looks),
    undefined,
  )
  await insertRows(
    'staged_decisions',
    exchangedColumns,
    rowsOf(({ exchanged }) => exchanged),
    undefined,
  )
  await insertRows(
    'staged_exchanges',
    everywhereColumns,
    rowsOf(({ everywhere }) => everywhere),
    undefined,
  )
}

/** Tells the database how much stands beside its sites: it plans the exchange of rows by that, and its own survey is late. */
export const surveyStaged = (): Promise<void> =>
  tell(`analyze staged_records, ${stagedTables.join(', ')}`, [])

/** Takes what stands beside the site for a job away, of some records alone where they are given; tells how many there were. */
export async function unstage(
  job: string,
  refs?: readonly RecordRef[],
  transaction?: Transaction,
): Promise<number> {
  const some = refs
    ? ' and at in (select at from staged_records where job = $1 and (kind, id) in (select * from unnest($2::text[], $3::text[])))'
    : ''
  const bind = refs ? [job, refs.map(({ kind }) => kind), refs.map(({ id }) => id)] : [job]
  for (const table of stagedTables) {
    await tell(`delete from ${table} where job = $1${some}`, bind, transaction)
  }
  const [gone] = await select<{ count: number }>(
    `with gone as (delete from staged_records where job = $1${some} returning 1)
     select count(*)::int as count from gone`,
    bind,
    transaction,
  )
  return gone!.count
}

/** The records of a job that are no longer what they were planned on. */
export function outdated(job: string, siteId: string, transaction: Transaction) {
  return select<RecordRef>(
    `select s.kind, s.id from staged_records s
       left join records r on r.site_id = $2 and r.kind = s.kind and r.id = s.id
     where s.job = $1 and r.hash is distinct from s.base_hash`,
    [job, siteId],
    transaction,
  )
}

export async function stagedTotals(job: string, transaction: Transaction) {
  const [row] = await select<{ records: number; counted: number }>(
    `select count(*)::int as records, coalesce(sum(counted), 0)::int as counted
     from staged_records where job = $1`,
    [job],
    transaction,
  )
  return row!
}

/** Which record of the site each staged one is. */
const joined = `from staged_records s join records r
  on r.site_id = $2 and r.kind = s.kind and r.id = s.id`

/** Adds the changes of the staged records to an edit of the history. */
export function keepStagedChanges(
  job: string,
  siteId: string,
  revision: number,
  transaction: Transaction,
): Promise<void> {
  return tell(
    `insert into edit_records (site_id, revision, n, kind, id, schema, changes)
     select $2, $3, row_number() over (order by s.at), s.kind, s.id, c.schema, s.changes
     from staged_records s
       left join records r on r.site_id = $2 and r.kind = s.kind and r.id = s.id
       join contents c on c.site_id = $2 and c.hash = coalesce(s.hash, r.hash)
     where s.job = $1`,
    [job, siteId, revision],
    transaction,
  )
}

/** Puts the staged records in place, within a transaction that holds the site: sets alone, no thinking. */
export async function putStaged(
  job: string,
  siteId: string,
  revision: number,
  transaction: Transaction,
): Promise<void> {
  const run = (sql: string, bind: ReadonlyArray<string | number> = [job, siteId]) =>
    tell(sql, bind, transaction)
  await run(
    `delete from records r using staged_records s
     where s.job = $1 and s.hash is null and r.site_id = $2 and r.kind = s.kind and r.id = s.id`,
  )
  const listed = 'hash, title, path, position, readers, index_hash'
  await run(
    `insert into records (site_id, kind, id, revision, ${listed})
     select $2, kind, id, $3, ${listed} from staged_records where job = $1 and hash is not null
     on conflict (site_id, kind, id) do update set revision = excluded.revision,
       hash = excluded.hash, title = excluded.title, path = excluded.path,
       position = excluded.position, readers = excluded.readers, index_hash = excluded.index_hash`,
    [job, siteId, revision],
  )
  // A site is listed by the name that its frame gives it.
  await run(
    `update sites t set name = c.body::jsonb ->> 'name'
     from staged_records s join contents c on c.site_id = $2 and c.hash = s.hash
     where s.job = $1 and s.kind = 'frame' and t.id = $2 and t.name <> c.body::jsonb ->> 'name'`,
  )
  for (const table of ['uses', 'bands'] as const) await putRows(table, job, siteId, transaction)
  await exchangeEverywhere(job, siteId, transaction)
  await putLooks(job, siteId, transaction)
  await exchangeDecisions(job, siteId, transaction)
}

const come = 'color = d.color, slot = d.slot, shade = d.shade, written = d.written'

/** Uses that are where they were come to what was decided in their place. */
async function exchangeDecisions(
  job: string,
  siteId: string,
  transaction: Transaction,
): Promise<void> {
  await tell(
    `update uses u set ${come} ${joined} join staged_decisions d on d.job = s.job and d.at = s.at
     where s.job = $1 and u.record = r.no and u.path = d.path and u.start is null`,
    [job, siteId],
    transaction,
  )
}

/**
 * Where all of some decisions of a record were exchanged, what is kept beside it is exchanged
 * where it is; looks are taken out, to be put as what they come to.
 */
async function exchangeEverywhere(
  job: string,
  siteId: string,
  transaction: Transaction,
): Promise<void> {
  await tell(
    `update uses u set ${come} ${joined} join staged_exchanges d on d.job = s.job and d.at = s.at
     where s.job = $1 and u.record = r.no and u.start is null and u.written = d.from_written
       and u.slot is not distinct from d.from_slot and u.shade is not distinct from d.from_shade`,
    [job, siteId],
    transaction,
  )
  const some = `(select r.no, s.at, array_agg(d.from_text) as froms, array_agg(d.to_text) as tos
    ${joined} join staged_exchanges d on d.job = s.job and d.at = s.at
    where s.job = $1 group by 1, 2) s`
  const holding = (text: string) =>
    `exists (select from unnest(s.froms) f where position(f in ${text}) > 0)`
  await tell(
    `update bands b set fill = exchanged(b.fill, s.froms, s.tos) from ${some}
     where b.record = s.no and b.fill is not null and ${holding('b.fill')}`,
    [job, siteId],
    transaction,
  )
  await tell(
    `with gone as (
       delete from looks l using ${some} where l.record = s.no and ${holding('l.look')}
       returning s.at, l.count, exchanged(l.look, s.froms, s.tos) as look)
     insert into staged_looks (job, at, site_id, key, look, count)
     select $1, at, $2, left(encode(sha256(convert_to(look, 'UTF8')), 'hex'), 32), look, sum(count)
     from gone group by at, look`,
    [job, siteId],
    transaction,
  )
}

/** Numbered rows beside the staged records: those behind the last go, those that are other are exchanged. */
async function putRows(
  table: 'uses' | 'bands',
  job: string,
  siteId: string,
  transaction: Transaction,
): Promise<void> {
  const columns = Object.keys(indexColumns[table]).filter((name) => name !== 'record')
  await tell(
    `delete from ${table} l using (select r.no, s.${table} as count ${joined} where s.job = $1) s
     where l.record = s.no and l.n >= s.count`,
    [job, siteId],
    transaction,
  )
  await tell(
    `insert into ${table} (record, ${columns.join(', ')})
     select r.no, ${columns.map((name) => `l.${name}`).join(', ')} ${joined}
       join staged_${table} l on l.job = s.job and l.at = s.at
     where s.job = $1 ${exchange(table)}`,
    [job, siteId],
    transaction,
  )
}

/** Looks beside the staged records: there come to be more of each, or fewer, or none. */
async function putLooks(job: string, siteId: string, transaction: Transaction): Promise<void> {
  await tell(
    `insert into looks as k (record, site_id, key, look, count)
     select r.no, $2, l.key, l.look, l.count ${joined}
       join staged_looks l on l.job = s.job and l.at = s.at
     where s.job = $1
     on conflict (record, key) do update set count = k.count + excluded.count`,
    [job, siteId],
    transaction,
  )
  await tell(
    `delete from looks k using (select r.no, l.key ${joined}
         join staged_looks l on l.job = s.job and l.at = s.at where s.job = $1 and l.count < 0) s
     where k.record = s.no and k.key = s.key and k.count = 0`,
    [job, siteId],
    transaction,
  )
}
