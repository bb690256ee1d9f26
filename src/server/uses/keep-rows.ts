import type { Transaction } from 'sequelize'
import { insertRows, tell } from '../database/sets'
import {
  indexColumns,
  indexTables,
  rowKeys,
  type Kept,
  type RecordIndex,
  type useColumns,
  type UseRow,
} from './rows'

export interface IndexOfRecord {
  readonly no: string
  readonly index: RecordIndex
}

/** Rows of many records as one list. */
export function keptRows<K extends keyof RecordIndex>(
  siteId: string,
  indexes: readonly IndexOfRecord[],
  table: K,
): Array<Kept<RecordIndex[K][number]>> {
  return indexes.flatMap(({ no, index }) =>
    index[table].map((row) => ({ ...row, record: no, site_id: siteId })),
  )
}

/** Puts a row in the place of one that is other; one that is alike is not written. */
export function exchange(table: keyof RecordIndex): string {
  const columns = Object.keys(indexColumns[table]).filter((name) => name !== 'record')
  const [old, fresh] = [table, 'excluded'].map((from) => columns.map((name) => `${from}.${name}`))
  return `on conflict (record, ${rowKeys[table]}) do update
    set ${columns.map((name) => `${name} = excluded.${name}`).join(', ')}
    where (${old}) is distinct from (${fresh})`
}

/** Puts what is kept beside records that had nothing kept beside them. */
export async function addIndexes(
  siteId: string,
  indexes: readonly IndexOfRecord[],
  transaction: Transaction,
): Promise<void> {
  for (const table of indexTables) {
    const columns = indexColumns[table] as typeof useColumns
    const rows = keptRows(siteId, indexes, table) as Array<Kept<UseRow>>
    await insertRows(table, columns, rows, transaction)
  }
}

/** Takes rows away that are not among those that records come to have: numbers from their count on, or other looks. */
async function removeRows(
  table: keyof RecordIndex,
  indexes: readonly IndexOfRecord[],
  transaction: Transaction,
): Promise<void> {
  const numbers = indexes.map(({ no }) => no)
  if (table !== 'looks') {
    const counts = indexes.map(({ index }) => index[table].length)
    await tell(
      `delete from ${table} l using unnest($1::bigint[], $2::int[]) as kept (record, count)
       where l.record = kept.record and l.n >= kept.count`,
      [numbers, counts],
      transaction,
    )
    return
  }
  const kept = indexes.flatMap(({ no, index }) => index.looks.map(({ key }) => [no, key] as const))
  await tell(
    `delete from looks where record = any($1::bigint[])
       and (record, key) not in (select * from unnest($2::bigint[], $3::text[]))`,
    [numbers, kept.map(([no]) => no), kept.map(([, key]) => key)],
    transaction,
  )
}

/** Puts what is kept beside some records in place of what was. */
export async function replaceIndexes(
  siteId: string,
  indexes: readonly IndexOfRecord[],
  transaction: Transaction,
): Promise<void> {
  if (indexes.length === 0) return
  for (const table of indexTables) {
    await removeRows(table, indexes, transaction)
    const columns = indexColumns[table] as typeof useColumns
    const rows = keptRows(siteId, indexes, table) as Array<Kept<UseRow>>
    await insertRows(table, columns, rows, transaction, exchange(table))
  }
}
