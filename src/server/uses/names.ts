import type { Transaction } from 'sequelize'
import type { KnownOfSite } from '@/core/exchange'
import { select } from '../database/sets'

/** The pictures of a site with their file names, and which pages it has. */
export async function namesOf(
  siteId: string,
  transaction?: Transaction,
): Promise<Pick<KnownOfSite, 'pictures' | 'hasPage'>> {
  const rows = await select<{ kind: string; id: string; path: string }>(
    `select kind, id, path from records where site_id = $1 and kind in ('page', 'picture')`,
    [siteId],
    transaction,
  )
  const pictures = rows.filter(({ kind }) => kind === 'picture')
  const pages = new Set(rows.filter(({ kind }) => kind === 'page').map(({ id }) => id))
  return {
    pictures: Object.fromEntries(pictures.map(({ id, path }) => [id, { fileName: path }])),
    hasPage: (id) => pages.has(id),
  }
}
