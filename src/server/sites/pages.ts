import type { Transaction } from 'sequelize'
import {
  done,
  type PageEntry,
  type PageBandsEntry,
  type PageWindow,
  type Result,
} from '@/core/payloads'
import { homePath, textFault, type PageId, type Placed } from '@/core/site'
import type { BandEntry } from '@/core/uses'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { bandOfRow, type BandRow } from '../uses/bands'

interface PageRow {
  readonly no: string
  readonly id: PageId
  readonly title: string
  readonly path: string
  readonly order: string
}
export async function countPages(siteId: string, transaction?: Transaction): Promise<number> {
  const [row] = await select<{ count: number }>(
    `select count(*)::int as count from records where site_id = $1 and kind = 'page'`,
    [siteId],
    transaction,
  )
  return row?.count ?? 0
}

async function withBands(
  rows: readonly PageRow[],
  transaction?: Transaction,
): Promise<PageBandsEntry[]> {
  const bands = await select<BandRow & { readonly record: string }>(
    'select record, section, kind, name, theme, fill, hidden from bands where record = any($1::bigint[]) order by record, n',
    [rows.map(({ no }) => no)],
    transaction,
  )
  const byRecord = new Map<string, Array<Placed<BandEntry>>>()
  for (const { record, ...row } of bands) {
    byRecord.set(record, [...(byRecord.get(record) ?? []), bandOfRow(row)])
  }
  return rows.map(({ no, id, title, path, order }) => ({
    id,
    title,
    path,
    order,
    bands: byRecord.get(no) ?? [],
  }))
}

/** Some pages in their order, each in small. */
export async function pageWindow(
  siteId: string,
  from: number,
  count: number,
  transaction?: Transaction,
): Promise<PageBandsEntry[]> {
  const rows = await select<PageRow>(
    `select no, id, title, path, position as "order" from records where site_id = $1 and kind = 'page'
     order by position, id offset $2 limit $3`,
    [siteId, from, count],
    transaction,
  )
  return withBands(rows, transaction)
}

/** The page at the address of the site itself; the first one, where there is none. */
export async function homeOf(
  siteId: string,
  transaction?: Transaction,
): Promise<PageId | undefined> {
  const [home] = await select<{ id: PageId }>(
    `select id from records where site_id = $1 and kind = 'page'
     order by path <> $2, position, id limit 1`,
    [siteId, homePath],
    transaction,
  )
  return home?.id
}

/** The page at an address, where there is one. */
export async function pageAt(
  actor: Actor,
  siteId: string,
  path: string,
): Promise<Result<PageEntry | null>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  if (textFault(path)) return done(null)
  const [row] = await select<PageEntry>(
    `select id, title, path, position as "order" from records
     where site_id = $1 and kind = 'page' and path = $2`,
    [siteId, path],
  )
  return done(row ?? null)
}

/** The pages that link to one, header and footer as well; by title, none for these. */
export async function linksTo(
  actor: Actor,
  siteId: string,
  pageId: string,
): Promise<Result<Array<string | null>>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  if (textFault(pageId)) return done([])
  const rows = await select<{ title: string | null }>(
    `select r.title from records r join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind in ('frame', 'page') and not (r.kind = 'page' and r.id = $2)
       and position('"page:' || $2 || '"' in c.body) > 0
     order by r.kind, r.position limit 200`,
    [siteId, pageId],
  )
  return done(rows.map(({ title }) => title))
}

/** Most pages in one answer. */
export const mostPagesAtOnce = 200

/** Some pages of a site in their order; those whose title holds the words, where some are given. */
export function listPages(
  actor: Actor,
  siteId: string,
  { from = 0, count = 60, search = '' }: { from?: number; count?: number; search?: string } = {},
): Promise<Result<PageWindow>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const { revision } = found.value
    const most = Math.min(count, mostPagesAtOnce)
    if (!search || textFault(search)) {
      const total = await countPages(siteId, transaction)
      const pages = await pageWindow(siteId, from, most, transaction)
      return done({ revision, total, from, pages })
    }
    const rows = await select<PageRow & { readonly total: number }>(
      `select no, id, title, path, position as "order", count(*) over ()::int as total from records
       where site_id = $1 and kind = 'page' and position(lower($2) in lower(title)) > 0
       order by position, id offset $3 limit $4`,
      [siteId, search, from, most],
      transaction,
    )
    const pages = await withBands(rows, transaction)
    return done({ revision, total: rows[0]?.total ?? 0, from, pages })
  })
}

/** The page right before or after another one in their order; null at the end. */
export async function pageBeside(
  actor: Actor,
  siteId: string,
  pageId: string,
  way: 'before' | 'after',
): Promise<Result<PageEntry | null>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  if (textFault(pageId)) return done(null)
  const [than, direction] = way === 'after' ? ['>', 'asc'] : ['<', 'desc']
  const [row] = await select<PageEntry>(
    `select r.id, r.title, r.path, r.position as "order" from records r, records own
     where own.site_id = $1 and own.kind = 'page' and own.id = $2
       and r.site_id = $1 and r.kind = 'page' and (r.position, r.id) ${than} (own.position, own.id)
     order by r.position ${direction}, r.id ${direction} limit 1`,
    [siteId, pageId],
  )
  return done(row ?? null)
}
