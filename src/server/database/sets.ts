import { QueryTypes, type Transaction } from 'sequelize'
import { database } from './connection'

type Value = string | number | boolean | null | readonly (string | number | boolean | null)[]

/**
 * A condition: whether the stored text of a record (`c.body`) shows the picture whose id stands in
 * a column or value. Texts are canonical JSON, so a member and its value stand side by side.
 */
export const showsPicture = (id: string): string =>
  `(position('"asset":"' || ${id} || '"' in c.body) > 0
    or position('"picture":"' || ${id} || '"' in c.body) > 0)`

/** Rows that a question gives; values take the places `$1`, `$2` … */
export function select<T extends object>(
  sql: string,
  bind: readonly Value[],
  transaction?: Transaction,
): Promise<T[]> {
  return database().query<T>(sql, { bind: [...bind], type: QueryTypes.SELECT, transaction })
}

/** Tells the database something; values take the places `$1`, `$2` … */
export async function tell(
  sql: string,
  bind: readonly Value[],
  transaction?: Transaction,
): Promise<void> {
  await database().query(sql, { bind: [...bind], transaction })
}

/**
 * Tells the database how much some tables hold now: it plans its answers by that, and its own
 * survey is a minute late. One that it is tidying at this moment is passed over rather than waited for.
 */
export const survey = (tables: readonly string[], transaction?: Transaction): Promise<void> =>
  tell(`analyze (skip_locked) ${tables.join(', ')}`, [], transaction)

/** The columns of a table that rows are written to, each with its type. */
export type Columns<Row> = {
  readonly [K in keyof Row & string]-?: 'text' | 'int' | 'bigint' | 'boolean' | 'timestamptz'
}

/** Most rows in one statement. */
const AT_ONCE = 5000
/** Most values that stand in a statement one by one; the protocol counts them in 16 bits. */
const MOST_VALUES = 4000

/** An array as PostgreSQL writes it (manual, § 8.15.2): much quicker than what the driver makes of a list. */
function arrayText(values: ReadonlyArray<string | number | boolean | null>): string {
  const parts = values.map((value) => {
    if (value === null) return 'NULL'
    if (typeof value !== 'string') return String(value)
    return `"${/[\\"]/.test(value) ? value.replaceAll(/[\\"]/g, '\\$&') : value}"`
  })
  return `{${parts.join(',')}}`
}

/** Columns as arrays, one value a row: what `unnest` takes apart again. */
export function columnsOf<Row extends object>(columns: Columns<Row>, rows: readonly Row[]) {
  const names = Object.keys(columns) as Array<keyof Row & string>
  return {
    names,
    /** `unnest($1::text[], …)`, its places counted from `first`. */
    unnest: (first = 1) =>
      `unnest(${names.map((name, i) => `$${first + i}::${columns[name]}[]`).join(', ')})`,
    bind: names.map((name) =>
      arrayText(rows.map((row) => (row[name] ?? null) as string | number | boolean | null)),
    ),
  }
}

/** A table and the rows that are written to it; `more` follows the statement (`on conflict do nothing`). */
type Insert = <Row extends object>(
  table: string,
  columns: Columns<Row>,
  rows: readonly Row[],
  transaction: Transaction | undefined,
  more?: string,
) => Promise<void>

/** Writes rows, so many at a time, from a source that tells its SQL and values. */
const inserting =
  (
    most: (names: readonly string[]) => number,
    source: <Row extends object>(
      columns: Columns<Row>,
      rows: readonly Row[],
    ) => { readonly sql: string; readonly bind: readonly Value[] },
  ): Insert =>
  async (table, columns, rows, transaction, more = '') => {
    const names = Object.keys(columns)
    const step = most(names)
    for (let at = 0; at < rows.length; at += step) {
      const { sql, bind } = source(columns, rows.slice(at, at + step))
      await tell(`insert into ${table} (${names.join(', ')}) ${sql} ${more}`, bind, transaction)
    }
  }

/** Writes rows in sets. */
export const insertRows = inserting(
  () => AT_ONCE,
  (columns, rows) => {
    const { unnest, bind } = columnsOf(columns, rows)
    return { sql: `select * from ${unnest()}`, bind }
  },
)

/** Writes rows that hold long texts: as they are, for an array of them would have to be escaped and read again. */
export const insertLong = inserting(
  (names) => Math.floor(MOST_VALUES / names.length),
  <Row extends object>(columns: Columns<Row>, rows: readonly Row[]) => {
    const names = Object.keys(columns) as Array<keyof Row & string>
    const places = rows.map((_, i) => {
      const first = i * names.length + 1
      return `(${names.map((name, k) => `$${first + k}::${columns[name]}`).join(', ')})`
    })
    const bind = rows.flatMap((row) => names.map((name) => (row[name] ?? null) as Value))
    return { sql: `values ${places.join(', ')}`, bind }
  },
)
