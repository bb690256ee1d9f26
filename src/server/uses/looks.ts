import type { Transaction } from 'sequelize'
import type { Look } from '@/core/uses'
import { select } from '../database/sets'

/** How many things are coloured alike over the pages of a site; header and footer are counted where they are at hand. */
export async function siteLooks(siteId: string, transaction?: Transaction): Promise<Look[]> {
  const rows = await select<{ look: string; count: number }>(
    'select look, count from site_looks where site_id = $1 and count > 0 order by look',
    [siteId],
    transaction,
  )
  return rows.map(({ look, count }) => ({ ...(JSON.parse(look) as Omit<Look, 'count'>), count }))
}
