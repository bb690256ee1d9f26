import type { Transaction } from 'sequelize'
import { columnsOf, insertRows, tell } from '../database/sets'
import { bandColumns, indexColumns, lookColumns, rowKeys, useColumns, type Kept } from './columns'
import { countGroups, putUses } from './put-uses'
import type { RecordIndex } from './rows'

export interface IndexOfRecord {
  readonly no: string
  readonly index: RecordIndex
}

/** Rows of many records as one list. */
function keptRows<K extends keyof RecordIndex>(
  siteId: string,
  indexes: readonly IndexOfRecord[],
  table: K,
): Array<Kept<RecordIndex[K][number]>> {
  return indexes.flatMap(({ no, index }) =>
    index[table].map((row) => ({ ...row, record: no, site_id: siteId })),
  )
}

/** Puts a row in the place of one that is other; one that is alike is not written. */
export function exchange(table: 'bands' | 'looks'): string {
  const columns = Object.keys(indexColumns[table]).filter((name) => name !== 'record')
  const [old, fresh] = [table, 'excluded'].map((from) => columns.map((name) => `${from}.${name}`))
  return `on conflict (record, ${rowKeys[table]}) do update
    set ${columns.map((name) => `${name} = excluded.${name}`).join(', ')}
    where (${old}) is distinct from (${fresh})`
}

/** Uses at a time: what each comes to is looked up among those that are kept. */
const USES_AT_ONCE = 5000

/**
 * Puts all that is kept beside some records; what stands there under the same number or key is
 * exchanged. Gives how many statements the uses took.
 */
async function putRows(
  siteId: string,
  indexes: readonly IndexOfRecord[],
  transaction: Transaction,
): Promise<number> {
  const uses = keptRows(siteId, indexes, 'uses')
  for (let at = 0; at < uses.length; at += USES_AT_ONCE) {
    const some = columnsOf(useColumns, uses.slice(at, at + USES_AT_ONCE))
    const source = `select * from ${some.unnest()} as given (${some.names.join(', ')})`
    await tell(putUses(source), some.bind, transaction)
  }
  const bands = keptRows(siteId, indexes, 'bands')
  await insertRows('bands', bandColumns, bands, transaction, exchange('bands'))
  const looks = keptRows(siteId, indexes, 'looks')
  await insertRows('looks', lookColumns, looks, transaction, exchange('looks'))
  return Math.ceil(uses.length / USES_AT_ONCE)
}

const countAll = (indexes: readonly IndexOfRecord[], transaction: Transaction) =>
  countGroups('select unnest($1::bigint[])', [indexes.map(({ no }) => no)], transaction)

/** Puts what is kept beside records that had nothing kept beside them: what comes in one statement is counted as it comes. */
export async function addIndexes(
  siteId: string,
  indexes: readonly IndexOfRecord[],
  transaction: Transaction,
): Promise<void> {
  const statements = await putRows(siteId, indexes, transaction)
  if (statements > 1) await countAll(indexes, transaction)
}

/** The table whose rows, counted through, stand for those of an index. */
export const numberedTables = { uses: 'use_spots', bands: 'bands' } as const

/** Takes rows away that are not among those that records come to have: numbers from their count on, or other looks. */
async function removeRows(
  indexes: readonly IndexOfRecord[],
  transaction: Transaction,
): Promise<void> {
  const numbers = indexes.map(({ no }) => no)
  for (const each of ['uses', 'bands'] as const) {
    const counts = indexes.map(({ index }) => index[each].length)
    await tell(
      `delete from ${numberedTables[each]} l using unnest($1::bigint[], $2::int[]) as kept (record, count)
       where l.record = kept.record and l.n >= kept.count`,
      [numbers, counts],
      transaction,
    )
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
  await removeRows(indexes, transaction)
  await putRows(siteId, indexes, transaction)
  await countAll(indexes, transaction)
}
