import type { Transaction } from 'sequelize'
import { tell } from '../database/sets'
import { exchange } from '../uses/keep-rows'
import { indexColumns, lookKeyOf } from '../uses/rows'

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

/** Tells the database something of a job (`$1`) and its site (`$2`); further values follow. */
type Run = (sql: string, ...more: ReadonlyArray<string | number>) => Promise<void>

/** Puts the staged records in place, within a transaction that holds the site: sets alone, no thinking. */
export async function putStaged(
  job: string,
  siteId: string,
  revision: number,
  transaction: Transaction,
): Promise<void> {
  const run: Run = (sql, ...more) => tell(sql, [job, siteId, ...more], transaction)
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
    revision,
  )
  // A site is listed by the name that its frame gives it.
  await run(
    `update sites t set name = c.body::jsonb ->> 'name'
     from staged_records s join contents c on c.site_id = $2 and c.hash = s.hash
     where s.job = $1 and s.kind = 'frame' and t.id = $2 and t.name <> c.body::jsonb ->> 'name'`,
  )
  for (const table of ['uses', 'bands'] as const) await putRows(table, run)
  await exchangeEverywhere(run)
  await putLooks(run)
  await exchangeDecisions(run)
}

const come = '(color, slot, shade, written) = row(d.color, d.slot, d.shade, d.written)'

/**
 * What was put aside in a table, each with its record (`no`): found before it is held against
 * anything else, for whoever plans the statement does not know how few of it are of this job.
 */
const ofRecords = (table: 'staged_exchanges' | 'staged_decisions') =>
  `d as materialized (
     select r.no, d.* ${joined} join ${table} d on d.job = s.job and d.at = s.at where s.job = $1)`

/** Uses that are where they were come to what was decided in their place. */
async function exchangeDecisions(run: Run): Promise<void> {
  await run(
    `with ${ofRecords('staged_decisions')}
     update uses u set ${come} from d
     where u.record = d.no and u.path = d.path and u.start is null`,
  )
}

/**
 * Where all of some decisions of a record were exchanged, what is kept beside it is exchanged
 * where it is.
 */
async function exchangeEverywhere(run: Run): Promise<void> {
  /** Uses are kept by their colour or slot, and found by it once: not again for each record. */
  const among = (column: 'color' | 'slot') =>
    `u.${column} = any(array(select distinct from_${column} from d))`
  await run(
    `with ${ofRecords('staged_exchanges')}, h as materialized (
       select u.ctid as row, u.record, u.written, u.slot, u.shade from uses u
       where u.site_id = $2 and u.start is null and (${among('color')} or ${among('slot')})
     ), e as materialized (
       select h.row, d.color, d.slot, d.shade, d.written from h join d
         on d.no = h.record and d.from_written = h.written
           and h.slot is not distinct from d.from_slot and h.shade is not distinct from d.from_shade)
     update uses u set ${come} from e d where u.ctid = d.row`,
  )
  const texts = `${ofRecords('staged_exchanges')}, s as materialized (
      select no, array_agg(from_text) as froms, array_agg(to_text) as tos from d group by 1)`
  await run(
    `with ${texts}, h as materialized (
       select distinct d.no, l.row from d cross join lateral (
         select l.ctid as row, l.fill from bands l where l.record = d.no offset 0) l
       where position(d.from_text in l.fill) > 0)
     update bands b set fill = exchanged(b.fill, s.froms, s.tos)
     from h join s using (no) where b.ctid = h.row`,
  )
  // What looks there are is known of the whole site, where each of them stands once. A look that
  // comes to one that the record has already, and one that another comes to, are taken away and put
  // anew, for nobody says in which order a statement does its parts; the others stay where they are.
  await run(
    `with ${texts}, k as materialized (
       select left(encode(w.key, 'hex'), 32) as key from site_looks w
       where w.site_id = $2 and w.count > 0 and exists (
         select from (select distinct from_text from d) f where position(f.from_text in w.look) > 0)
     ), h as materialized (
       select l.*, exchanged(l.look, s.froms, s.tos) as becomes from s cross join lateral (
         select l.ctid as row, l.record, l.key, l.look, l.count from looks l
         where l.record = s.no and l.key = any(array(select key from k)) offset 0) l
     ), n as materialized (
       select *, ${lookKeyOf('becomes')} as to_key, count(*) over (partition by record, becomes) as alike
       from h where becomes <> look
     ), m as materialized (
       select n.*, alike > 1 or (record, key) in (select record, to_key from n) or exists (
         select from looks o where o.record = n.record and o.key = n.to_key) as meets from n
     ), stayed as (
       update looks l set key = m.to_key, look = m.becomes from m where l.ctid = m.row and not m.meets
     ), gone as (
       delete from looks l using m where l.ctid = m.row and m.meets
       returning m.record, m.to_key, m.becomes, m.count)
     insert into looks as k (record, site_id, key, look, count)
     select record, $2, to_key, becomes, sum(count) from gone group by record, to_key, becomes
     on conflict (record, key) do update set count = k.count + excluded.count`,
  )
}

/** Numbered rows beside the staged records: those behind the last go, those that are other are exchanged. */
async function putRows(table: 'uses' | 'bands', run: Run): Promise<void> {
  const columns = Object.keys(indexColumns[table]).filter((name) => name !== 'record')
  await run(
    `delete from ${table} l using (
       select r.no, s.${table} as count ${joined} where s.job = $1 and s.${table} is not null) s
     where l.record = s.no and l.n >= s.count`,
  )
  await run(
    `insert into ${table} (record, ${columns.join(', ')})
     select r.no, ${columns.map((name) => `l.${name}`).join(', ')} ${joined}
       join staged_${table} l on l.job = s.job and l.at = s.at
     where s.job = $1 ${exchange(table)}`,
  )
}

/** Looks beside the staged records: there come to be more of each, or fewer, or none. */
async function putLooks(run: Run): Promise<void> {
  await run(
    `insert into looks as k (record, site_id, key, look, count)
     select r.no, $2, l.key, l.look, l.count ${joined}
       join staged_looks l on l.job = s.job and l.at = s.at
     where s.job = $1
     on conflict (record, key) do update set count = k.count + excluded.count`,
  )
  await run(
    `delete from looks k using (select r.no, l.key ${joined}
         join staged_looks l on l.job = s.job and l.at = s.at where s.job = $1 and l.count < 0) s
     where k.record = s.no and k.key = s.key and k.count = 0`,
  )
}
