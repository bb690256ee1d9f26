import type { Transaction } from 'sequelize'
import type { KnownOfSite } from '@/core/exchange'
import { select } from '../database/sets'

/** The pictures of a site with their file names, and its pages with their titles. */
export async function namesOf(siteId: string, transaction?: Transaction): Promise<KnownOfSite> {
  const rows = await select<{ kind: string; id: string; path: string; title: string }>(
    `select kind, id, path, title from records where site_id = $1 and kind in ('page', 'picture')`,
    [siteId],
    transaction,
  )
  const pictures = rows.filter(({ kind }) => kind === 'picture')
  const pages = rows.filter(({ kind }) => kind === 'page')
  return {
    pictures: Object.fromEntries(pictures.map(({ id, path }) => [id, { fileName: path }])),
    pages: Object.fromEntries(pages.map(({ id, title }) => [id, { title }])),
  }
}
