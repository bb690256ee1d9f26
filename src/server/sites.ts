import { literal, type Transaction } from 'sequelize'
import { canonicalJson, readFrame, readPage, type PageId, type SiteDocs } from '@/core/site'
import { summarize } from '@/core/uses'
import {
  done,
  refused,
  type LoadedPage,
  type LoadedSite,
  type PageEntry,
  type Result,
  type SiteEntry,
} from '@/core/payloads'
import { may, type Actor, type Deed } from './actor'
import { models, type PageRow, type SiteRow } from './database/models'

/** Finds a site for a deed: the row, or why not. Who may not read it learns nothing of it. */
export async function siteFor(
  actor: Actor,
  deed: Deed,
  siteId: string,
  transaction?: Transaction,
): Promise<Result<SiteRow>> {
  const site = await models().Site.findByPk(siteId, {
    transaction,
    ...(transaction ? { lock: transaction.LOCK.UPDATE } : {}),
  })
  if (!site || !(await may(actor, 'read', site))) return refused({ code: 'not-found' })
  return (await may(actor, deed, site)) ? done(site) : refused({ code: 'forbidden' })
}

async function pageEntries(siteId: string): Promise<PageEntry[]> {
  const { Page } = models()
  const rows = await Page.findAll({
    where: { siteId },
    attributes: [
      'id',
      'summary',
      [literal(`document->>'title'`), 'title'],
      [literal(`document->>'path'`), 'path'],
    ],
    order: ['position'],
    raw: true,
  })
  return rows as unknown as PageEntry[]
}

export async function listSites(actor: Actor): Promise<SiteEntry[]> {
  const { Member, Site } = models()
  const workspaces = await Member.findAll({ where: { userId: actor.userId } })
  const rows = await Site.findAll({
    where: { workspaceId: workspaces.map(({ workspaceId }) => workspaceId) },
    order: ['position'],
  })
  return Promise.all(
    rows.map(async ({ id, name, frame }) => ({
      id,
      name,
      frame: readFrame(frame),
      pages: await pageEntries(id),
    })),
  )
}

export async function standing(siteId: string): Promise<{ canUndo: boolean; canRedo: boolean }> {
  const { Edit } = models()
  const [live, undone] = await Promise.all([
    Edit.count({ where: { siteId, standing: 'live' } }),
    Edit.count({ where: { siteId, standing: 'undone' } }),
  ])
  return { canUndo: live > 0, canRedo: undone > 0 }
}

export async function loadSite(actor: Actor, siteId: string): Promise<Result<LoadedSite>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const site = found.value
  const assets = await models().Asset.findAll({ where: { siteId } })
  return done({
    id: site.id,
    name: site.name,
    frame: readFrame(site.frame),
    revision: site.revision,
    pages: await pageEntries(siteId),
    assets: Object.fromEntries(assets.map(({ id, details }) => [id, details])),
    ...(await standing(siteId)),
  })
}

export async function loadPage(
  actor: Actor,
  siteId: string,
  pageId: string,
): Promise<Result<LoadedPage>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const row = await models().Page.findOne({ where: { siteId, id: pageId } })
  if (!row) return refused({ code: 'not-found' })
  return done({ page: readPage(row.document), revision: found.value.revision })
}

/** The documents of a site: its frame and the pages asked for, or all of them. */
export async function loadDocs(
  site: SiteRow,
  wanted: readonly PageId[] | 'all',
  transaction?: Transaction,
): Promise<SiteDocs> {
  const where = wanted === 'all' ? { siteId: site.id } : { siteId: site.id, id: [...wanted] }
  const rows = await models().Page.findAll({ where, order: ['position'], transaction })
  const pages = rows.map(({ document }: PageRow) => readPage(document))
  return {
    frame: readFrame(site.frame),
    pages: Object.fromEntries(pages.map((page) => [page.id, page])),
  }
}

/** Stores the documents that differ, each with its summary. */
export async function storeDocs(
  site: SiteRow,
  before: SiteDocs,
  after: SiteDocs,
  transaction: Transaction,
): Promise<void> {
  if (before.frame !== after.frame) {
    site.frame = after.frame
    site.summary = summarize(after.frame.body)
  }
  for (const page of Object.values(after.pages)) {
    if (before.pages[page.id] === page) continue
    await models().Page.update(
      { document: page, summary: summarize(page.body) },
      { where: { siteId: site.id, id: page.id }, transaction },
    )
  }
}

/** One text for the whole state of a site, to compare states by. */
export function stateText(docs: SiteDocs): string {
  return canonicalJson(docs)
}
