import { recordKinds } from '@/core/site'
import type { UseQuestion } from '@/core/wide'
import { columnsOf, select } from '../database/sets'
import { everywhereColumns, type EverywhereRow } from '../uses/index-change'
import { whereUses, type ReachedRecord } from '../uses/questions'
import { readersVersion } from '../uses/rows'

/** Decisions that are exchanged wherever they stand on pages. */
export interface WholeExchange {
  /** The uses that are looked for: a page with others of these than such decisions is planned by itself. */
  readonly question: UseQuestion
  readonly rows: readonly EverywhereRow[]
}

const names = Object.keys(everywhereColumns)

/** Whether a use is a decision of an element or a section: `["body","elements","…","looks",…`, as paths are kept. */
const IS_OF_THING = `u.start is null and split_part(u.path, '"', 8) = 'looks'
  and split_part(u.path, '"', 2) = 'body' and split_part(u.path, '"', 4) in ('elements', 'sections')`

/**
 * Puts pages beside the site as exchanges leave them, in one statement: the database finds the uses
 * in its index, exchanges them in the texts and tells the changes. Gives the ids of the pages that
 * stand there now. The others it left alone: they are no longer what they were thought to be, hold
 * more than decisions, or hold them where nobody knows of them.
 */
export async function stageExchanged(
  job: string,
  siteId: string,
  first: number,
  pages: readonly ReachedRecord[],
  { question, rows }: WholeExchange,
): Promise<string[]> {
  const given = [
    job,
    siteId,
    first,
    readersVersion,
    recordKinds.page.version,
    pages.map(({ id }) => id),
    pages.map(({ hash }) => hash),
  ]
  const exchanges = columnsOf(everywhereColumns, rows)
  const sought = whereUses(question, given.length + exchanges.bind.length + 1, '$2')
  const found = await select<{ id: string }>(
    `with p as materialized (
       select r.*, g.n::int - 1 as at
       from unnest($6::text[], $7::text[]) with ordinality as g (id, hash, n)
         join records r on r.site_id = $2 and r.kind = 'page' and r.id = g.id
           and r.hash = g.hash and r.readers = $4
     ), x as materialized (
       select * from ${exchanges.unnest(given.length + 1)} with ordinality as x (${names.join(', ')}, i)
     ), held as materialized (
       select p.no, u.* from p cross join lateral (
         select u.n, u.path, u.written, u.slot, u.shade, u.start from uses u
         where u.record = p.no and ${sought.sql} offset 0) u
     ), each as materialized (
       select u.no, x.i, count(*)::int as count, string_agg('{"path":' || u.path || ',"from":'
         || x.from_text || ',"to":' || x.to_text || '}', ',' order by u.n) as changes
       from held u join x on u.written = x.from_written
         and u.slot is not distinct from x.from_slot and u.shade is not distinct from x.from_shade
       where u.start is null and u.no not in (
         select u.no from held u where not (${IS_OF_THING}))
       group by 1, 2
     ), own as (
       select no, sum(count)::int as counted, string_agg(changes, ',' order by i) as changes,
         array_agg(from_text order by i) as froms, array_agg(to_text order by i) as tos,
         array_agg(count order by i) as counts
       from each join x using (i) group by no
     ), texts as materialized (
       select p.*, o.counted, o.changes,
         exchanged_whole(c.hash, c.body, o.froms, o.tos, o.counts) as body
       from own o join p using (no)
         join contents c on c.site_id = $2 and c.hash = p.hash and c.schema = $5
     ), becomes as materialized (
       select *, encode(sha256(convert_to(body, 'UTF8')), 'hex') as becomes
       from texts where body is not null
     ), kept as (
       insert into contents (site_id, hash, kind, schema, body)
       select distinct on (becomes) $2, becomes, 'page', $5, body from becomes
       on conflict (site_id, hash) do update set at = now()
     ), staged as (
       insert into staged_records (job, at, kind, id, base_hash, hash, title, path, position,
         readers, index_hash, changes, counted)
       select $1, $3 + at, 'page', id, hash, becomes, title, path, position,
         $4, $4 || ' ' || becomes, '[' || changes || ']', counted from becomes
     ), put as (
       insert into staged_exchanges (job, at, ${names.join(', ')})
       select $1, $3 + b.at, ${names.map((name) => `x.${name}`).join(', ')}
       from becomes b join each e using (no) join x using (i)
     )
     select id from becomes`,
    [...given, ...exchanges.bind, ...sought.bind] as never,
  )
  return found.map(({ id }) => id)
}
