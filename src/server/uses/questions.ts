import type { Transaction } from 'sequelize'
import type { Reach, UseQuestion } from '@/core/wide'
import type { RecordState } from '../records'
import { select } from '../database/sets'

/** What texts stand in: frame, pages and pictures. */
const TEXTED = `r.kind in ('frame', 'page', 'picture')`

/** A condition on records: that their stored text matches a pattern, which takes the place `$first`. */
const isWritten = (first: number) =>
  `${TEXTED} and exists (select from contents c
     where c.site_id = r.site_id and c.hash = r.hash and c.body ~* $${first})`

/** What people call a record (as `r`): a page by its title, a picture by its file name. */
export const TITLE = "coalesce(nullif(r.title, ''), r.path, r.id)"

/** The records whose stored text matches a pattern, all that hold texts where there is none; in the order in which a site is read. */
export function recordsWritten(
  siteId: string,
  pattern: string | undefined,
  transaction?: Transaction,
): Promise<Array<RecordState & { readonly title: string }>> {
  const condition = pattern === undefined ? TEXTED : isWritten(2)
  return select(
    `select r.kind, r.id, r.hash, r.no::text, ${TITLE} as title from records r
     where r.site_id = $1 and ${condition} order by r.kind, r.position, r.id`,
    [siteId, ...(pattern === undefined ? [] : [pattern])],
    transaction,
  )
}

/** Keys of all loose colours in use on a site. */
export async function looseColors(siteId: string, transaction?: Transaction): Promise<string[]> {
  // One step of the index for each colour rather than one for each use.
  const rows = await select<{ color: string }>(
    `with recursive found (color) as (
       (select color from use_groups where site_id = $1 and color is not null order by color limit 1)
       union all
       select (select u.color from use_groups u
               where u.site_id = $1 and u.color > found.color order by u.color limit 1)
       from found where found.color is not null
     )
     select color from found where color is not null`,
    [siteId],
    transaction,
  )
  return rows.map(({ color }) => color)
}

/** Conditions on rows of `uses` or `use_groups` (as `u`) of a site, `$1` where nothing else is said; values are counted from `first`. */
export function whereUses(
  { slots, colors, paints, page }: UseQuestion,
  first: number,
  site = '$1',
) {
  const parts = [`(u.slot = any($${first}::text[]) or u.color = any($${first + 1}::text[]))`]
  const bind: Array<string | readonly string[]> = [slots, colors]
  if (paints) {
    parts.push(`u.paints = any($${first + bind.length}::text[])`)
    bind.push(paints)
  }
  if (page) {
    parts.push(`u.record = (select no from records
      where site_id = ${site} and kind = 'page' and id = $${first + bind.length})`)
    bind.push(page)
  }
  return { sql: parts.join(' and '), bind }
}

/** A record that a wide edit may touch; without a hash it is only in the checkpoint that was asked for. */
export interface ReachedRecord extends Omit<RecordState, 'hash' | 'no'> {
  readonly hash: string | null
  readonly target?: string | null
}

const states = `select r.kind, r.id, r.hash from records r where r.site_id = $1 and r.revision > $2`

/** The records that a wide edit may touch, of those that changed after a revision. */
export async function reachedRecords(
  siteId: string,
  { frame, uses, theme, looks, pages, written, checkpoint }: Reach,
  after = -1,
  transaction?: Transaction,
): Promise<ReachedRecord[]> {
  if (checkpoint !== undefined) {
    return select<ReachedRecord>(
      `select coalesce(r.kind, s.kind) as kind, coalesce(r.id, s.id) as id, r.hash, s.hash as target
       from (select * from records where site_id = $1) r
       full join (select * from snapshot_records where snapshot = $2) s
         on s.kind = r.kind and s.id = r.id
       where r.hash is distinct from s.hash and coalesce(r.revision, 0) > $3
       order by 1, 2`,
      [siteId, checkpoint, after],
      transaction,
    )
  }
  const found = new Map<string, ReachedRecord>()
  const add = async (condition: string, bind: ReadonlyArray<string | readonly string[]>) => {
    const rows = await select<ReachedRecord>(
      `${states} and ${condition} order by r.kind, r.position, r.id`,
      [siteId, after, ...bind],
      transaction,
    )
    for (const row of rows) found.set(`${row.kind}/${row.id}`, row)
  }
  if (frame) await add(`r.kind = 'frame'`, [])
  if (pages) await add(`r.kind = 'page' and r.id = any($3::text[])`, [pages])
  if (theme)
    await add('r.no in (select record from bands where site_id = $1 and theme = $3)', [theme])
  if (looks) {
    // What decides the looks of elements is kept as canonical JSON; ids hold nothing that a pattern would read otherwise.
    const part = 'style' in looks ? `"style":"${looks.style}"` : `"kind":"${looks.kind}"`
    const more = 'style' in looks ? '' : `and look like '%"looks":%'`
    await add(`r.no in (select record from looks where site_id = $1 and look like $3 ${more})`, [
      `%${part}%`,
    ])
  }
  if (uses) {
    const { sql, bind } = whereUses(uses, 3)
    // Found first: in one with the records they would be looked for again for each.
    await add(
      `r.no = any(array(select distinct u.record from use_groups u where u.site_id = $1 and ${sql}))`,
      bind,
    )
  }
  if (written) {
    const { pattern } = written
    await (pattern === undefined ? add(TEXTED, []) : add(isWritten(3), [pattern]))
  }
  return [...found.values()]
}
