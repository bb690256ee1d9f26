import type { Transaction } from 'sequelize'
import type { Look } from '@/core/uses'
import { select } from '../database/sets'

/** How many things are coloured alike over the pages of a site; header and footer are counted where they are at hand. */
export async function siteLooks(siteId: string, transaction?: Transaction): Promise<Look[]> {
  const rows = await select<{ look: string; count: number }>(
    `select l.look, sum(l.count)::int as count from looks l join records r on r.no = l.record
     where l.site_id = $1 and r.kind = 'page' group by l.look order by l.look`,
    [siteId],
    transaction,
  )
  return rows.map(({ look, count }) => ({ ...(JSON.parse(look) as Omit<Look, 'count'>), count }))
}
