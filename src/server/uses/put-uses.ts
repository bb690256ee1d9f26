import type { Transaction } from 'sequelize'
import { tell } from '../database/sets'
import { alikeNames, tableColumns } from './columns'

const alike = alikeNames.join(', ')
/** All that uses of a record are told apart by, but where they are, as one text; what is absent is alike. */
const SAYS = `array[is_text::text, ${alikeNames.map((name) => `${name}::text`).join(', ')}]::text collate "C"`

const spots = Object.keys(tableColumns.use_spots).filter((name) => name !== 'g')
const noSpot = Object.entries(tableColumns.use_spots).flatMap(([name, type]) =>
  name === 'g' ? [] : [name === 'record' ? name : `null::${type}`],
)
const own = ['g', ...spots].filter((name) => name !== 'record' && name !== 'n')

/**
 * A statement that keeps uses: each where it is, in the group of those of its record that are like
 * it. The source gives them with the columns of `uses`; a use that stands there already is
 * exchanged where it is other. It may begin with further parts, for the source to read. What is
 * counted of the groups is right again when they are counted anew.
 *
 * Uses and groups are put in one order and numbered in that: joined, they would be held against one
 * another each with each, for nobody knows beforehand how many there are.
 */
export const putUses = (source: string, parts = ''): string => `
  with ${parts && `${parts}, `}given as materialized (
    select *, start is not null as is_text from (${source}) s
  ), mixed as (
    select ${spots.join(', ')}, site_id, is_text, ${alike}, ${SAYS} as says, null::int as g from given
    union all
    select ${noSpot.join(', ')}, site_id, is_text, ${alike}, ${SAYS}, g
    from use_groups where record = any(array(select distinct record from given))
  ), sorted as (
    select *, min(g) over (partition by record, says) as known, max(g) over (partition by record) as last
    from mixed
  ), grouped as materialized (
    select ${spots.join(', ')}, site_id, is_text, ${alike}, known is null as fresh,
      coalesce(known, coalesce(last, 0)
        + dense_rank() over (partition by record, known is null order by says))::int as g
    from sorted where n is not null
  ), fresh as (
    insert into use_groups (record, g, site_id, count, is_text, ${alike})
    select record, g, site_id, count(*), is_text, ${alike} from grouped where fresh
    group by record, g, site_id, is_text, ${alike}
  )
  insert into use_spots as u (g, ${spots.join(', ')}) select g, ${spots.join(', ')} from grouped
  on conflict (record, n) do update set ${own.map((name) => `${name} = excluded.${name}`).join(', ')}
    where (${own.map((name) => `u.${name}`).join(', ')})
      is distinct from (${own.map((name) => `excluded.${name}`).join(', ')})`

/** Counts the groups of some records anew, whose numbers the source gives; those that have no use any more go. */
export async function countGroups(
  records: string,
  bind: Parameters<typeof tell>[1],
  transaction: Transaction,
): Promise<void> {
  // What goes and what is counted are never the same groups. Joined in full they are not held against
  // one another each with each, whatever the database thinks how many there are.
  await tell(
    `with c as materialized (
       select s.record, s.g, count(*)::int as count from use_spots s
       where s.record = any(array(${records})) group by s.record, s.g
     ), kept as materialized (
       select u.row, u.count, c.count as counted
       from (select ctid as row, record, g, count from use_groups
             where record = any(array(${records}))) u full join c using (record, g)
     ), gone as (
       delete from use_groups u using kept k where u.ctid = k.row and k.counted is null
     )
     update use_groups u set count = k.counted from kept k
     where u.ctid = k.row and k.counted <> k.count`,
    bind,
    transaction,
  )
}
