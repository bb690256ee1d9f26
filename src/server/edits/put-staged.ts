import type { Transaction } from 'sequelize'
import { select, tell } from '../database/sets'
import { indexColumns } from '../uses/columns'
import { exchange, numberedTables } from '../uses/keep-rows'
import { countGroups, putUses } from '../uses/put-uses'
import { lookKeyOf } from '../uses/rows'

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

/** What there is beside the site for a job, as conditions: what there is nothing of is not put. */
const beside = {
  goes: 'select from staged_records where job = $1 and hash is null',
  isFrame: `select from staged_records where job = $1 and kind = 'frame'`,
  isNumbered:
    'select from staged_records where job = $1 and (uses is not null or bands is not null)',
  uses: 'select from staged_uses where job = $1',
  bands: 'select from staged_bands where job = $1',
  looks: 'select from staged_looks where job = $1',
  decisions: 'select from staged_decisions where job = $1',
  exchanges: 'select from staged_exchanges where job = $1',
} as const
type Beside = { readonly [K in keyof typeof beside]: boolean }

async function standsBeside(job: string, transaction: Transaction): Promise<Beside> {
  const asked = Object.entries(beside).map(([name, sql]) => `exists (${sql}) as "${name}"`)
  const [row] = await select<Beside>(`select ${asked.join(', ')}`, [job], transaction)
  return row!
}

/** Puts the staged records in place, within a transaction that holds the site: sets alone, no thinking. */
export async function putStaged(
  job: string,
  siteId: string,
  revision: number,
  transaction: Transaction,
): Promise<void> {
  const run: Run = (sql, ...more) => tell(sql, [job, siteId, ...more], transaction)
  const has = await standsBeside(job, transaction)
  await putRecords(revision, has, run)
  await putNumbered('uses', has, run)
  await putNumbered('bands', has, run)
  if (has.exchanges) await exchangeEverywhere(run)
  if (has.looks) await putLooks(run)
  if (has.decisions) await exchangeDecisions(run)
  if (!has.isNumbered && !has.decisions) return
  // Where a whole group is exchanged, no count of it is other.
  await countGroups(
    `select r.no ${joined} where s.job = $1 and (s.uses is not null
       or exists (select from staged_decisions d where d.job = s.job and d.at = s.at))`,
    [job, siteId],
    transaction,
  )
}

async function putRecords(revision: number, has: Beside, run: Run): Promise<void> {
  if (has.goes) {
    await run(
      `delete from records r using staged_records s
       where s.job = $1 and s.hash is null and r.site_id = $2 and r.kind = s.kind and r.id = s.id`,
    )
  }
  const listed = 'hash, title, path, position, readers, index_hash'
  await run(
    `insert into records (site_id, kind, id, revision, ${listed})
     select $2, kind, id, $3, ${listed} from staged_records where job = $1 and hash is not null
     on conflict (site_id, kind, id) do update set revision = excluded.revision,
       hash = excluded.hash, title = excluded.title, path = excluded.path,
       position = excluded.position, readers = excluded.readers, index_hash = excluded.index_hash`,
    revision,
  )
  if (!has.isFrame) return
  // A site is listed by the name that its frame gives it.
  await run(
    `update sites t set name = c.body::jsonb ->> 'name'
     from staged_records s join contents c on c.site_id = $2 and c.hash = s.hash
     where s.job = $1 and s.kind = 'frame' and t.id = $2 and t.name <> c.body::jsonb ->> 'name'`,
  )
}

/**
 * What was put aside in a table, each with its record (`no`): found before it is held against
 * anything else, for whoever plans the statement does not know how few of it are of this job.
 */
const ofRecords = (table: 'staged_exchanges' | 'staged_decisions') =>
  `d as materialized (
     select r.no, d.* ${joined} join ${table} d on d.job = s.job and d.at = s.at where s.job = $1)`

/** Uses that are where they were come to what was decided in their place. */
async function exchangeDecisions(run: Run): Promise<void> {
  const { color, slot, shade, written, ...others } = indexColumns.uses
  const decided = Object.keys({ color, slot, shade, written }).map((name) => `d.${name}`)
  const stay = Object.keys(others).map((name) => `u.${name}`)
  await run(
    putUses(
      `select ${[...stay, ...decided].join(', ')}
       from d join uses u on u.record = d.no and u.path = d.path and u.start is null`,
      ofRecords('staged_decisions'),
    ),
  )
}

const come = '(color, slot, shade, written) = row(d.color, d.slot, d.shade, d.written)'

/**
 * Where all of some decisions of a record were exchanged, what is kept beside it is exchanged
 * where it is.
 */
async function exchangeEverywhere(run: Run): Promise<void> {
  await run(
    `with ${ofRecords('staged_exchanges')}
     update use_groups u set ${come} from d
     where u.record = d.no and not u.is_text and u.written = d.from_written
       and u.slot is not distinct from d.from_slot and u.shade is not distinct from d.from_shade`,
  )
  // Most records share what is exchanged in them: what a text comes to is made once for all of these.
  const texts = `${ofRecords('staged_exchanges')}, s as materialized (
      select no, array_agg(from_text order by from_text, to_text) as froms,
        array_agg(to_text order by from_text, to_text) as tos from d group by 1)`
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
    `with ${texts}, w as materialized (
       select left(encode(l.key, 'hex'), 32) as key, l.look from site_looks l
       where l.site_id = $2 and l.count > 0 and exists (
         select from (select distinct from_text from d) f where position(f.from_text in l.look) > 0)
     ), e as materialized (
       select w.key, f.froms, f.tos, exchanged(w.look, f.froms, f.tos) as becomes
       from w join (select distinct froms, tos from s) f
         on exists (select from unnest(f.froms) t (text) where position(t.text in w.look) > 0)
     ), k as materialized (select *, ${lookKeyOf('becomes')} as to_key from e
     ), h as materialized (
       select l.*, k.becomes, k.to_key from s join k using (froms, tos) cross join lateral (
         select l.ctid as row, l.record, l.key, l.look, l.count from looks l
         where l.record = s.no and l.key = k.key offset 0) l
     ), n as materialized (
       select *, count(*) over (partition by record, to_key) as alike from h where becomes <> look
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
async function putNumbered(table: 'uses' | 'bands', has: Beside, run: Run): Promise<void> {
  if (has.isNumbered) {
    await run(
      `delete from ${numberedTables[table]} l using (
         select r.no, s.${table} as count ${joined} where s.job = $1 and s.${table} is not null) s
       where l.record = s.no and l.n >= s.count`,
    )
  }
  if (!has[table]) return
  const columns = Object.keys(indexColumns[table]).filter((name) => name !== 'record')
  const rows = `select r.no as record, ${columns.map((name) => `l.${name}`).join(', ')} ${joined}
    join staged_${table} l on l.job = s.job and l.at = s.at where s.job = $1`
  await run(
    table === 'uses'
      ? putUses(rows)
      : `insert into ${table} (record, ${columns.join(', ')}) ${rows} ${exchange(table)}`,
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
