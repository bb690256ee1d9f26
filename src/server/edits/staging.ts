import type { Transaction } from 'sequelize'
import type { Change } from '@/core/changes'
import type { RecordRef } from '@/core/site'
import { insertLong, insertRows, select, survey, type Columns } from '../database/sets'
import { putContents, type Written } from '../records'
import { bandColumns, lookColumns, useColumns } from '../uses/columns'
import { readersVersion } from '../uses/rows'
import {
  everywhereColumns,
  stagedTables,
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
  const put = <Row extends object>(
    table: (typeof stagedTables)[number],
    columns: Columns<Row>,
    of: (index: IndexChange) => ReadonlyArray<object>,
  ) => insertRows(table, columns, rowsOf(of) as Row[], undefined)
  await put('staged_uses', beside(useColumns), ({ rows: { uses } }) => uses)
  await put('staged_bands', beside(bandColumns), ({ rows: { bands } }) => bands)
  await put('staged_looks', beside(lookColumns), ({ rows: { looks } }) => looks)
  await put('staged_decisions', exchangedColumns, ({ exchanged }) => exchanged)
  await put(
    'staged_exchanges',
    { ...everywhereColumns, job: 'text', at: 'int' },
    ({ everywhere }) => everywhere,
  )
}

/** Tells the database how much stands beside its sites: the exchange of rows is planned by that. */
export const surveyStaged = (): Promise<void> => survey(['staged_records', ...stagedTables])

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
  const away = (table: string) => `delete from ${table} where job = $1${some}`
  // In one statement, which sees all of it as it was.
  const [gone] = await select<{ count: number }>(
    `with ${stagedTables.map((table) => `${table}_gone as (${away(table)})`).join(', ')},
       gone as (${away('staged_records')} returning 1)
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
