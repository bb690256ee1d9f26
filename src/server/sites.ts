import { literal, type Transaction } from 'sequelize'
import { siteDocs,
  canonicalJson,
  frameSchema,
  isUnreadable,
  pageSchema,
  readFrame,
  readPage,
  textFault,
  type PageId,
  type SiteDocs,
} from '@/core/site'
import { summarize } from '@/core/uses'
import {
  done,
  refused,
  type LoadedPage,
  type LoadedSite,
  type PageEntry,
  type Result,
  type ShelfEntry,
} from '@/core/payloads'
import { deedsOf, type Actor, type Deed } from './actor'
import { atOneMoment } from './database/connection'
import { models, type PageRow, type SiteRow } from './database/models'
import { sharedReading } from './turns'

/** Whether an actor may do a deed with a site, or why not. Who may not read it learns nothing of it. */
async function allowed(
  actor: Actor,
  deed: Deed,
  site: SiteRow | null,
  transaction?: Transaction,
): Promise<Result<SiteRow>> {
  const deeds = site ? await deedsOf(actor, site, transaction) : []
  if (!site || !deeds.includes('read')) return refused({ code: 'not-found' })
  return deeds.includes(deed) ? done(site) : refused({ code: 'forbidden' })
}

/** Finds a site for a deed: the row, or why not. */
export async function siteFor(
  actor: Actor,
  deed: Deed,
  siteId: string,
  transaction?: Transaction,
): Promise<Result<SiteRow>> {
  if (textFault(siteId)) return refused({ code: 'not-found' })
  const site = await models().Site.findByPk(siteId, { transaction })
  return allowed(actor, deed, site, transaction)
}

/**
 * The same for a change, with the row locked: of the row only what tells whether
 * the change may go on, for most that are turned away are so at this point.
 */
export async function lockedSiteFor(
  actor: Actor,
  siteId: string,
  transaction: Transaction,
): Promise<Result<SiteRow>> {
  if (textFault(siteId)) return refused({ code: 'not-found' })
  const site = await models().Site.findByPk(siteId, {
    attributes: ['id', 'workspaceId', 'revision'],
    transaction,
    lock: transaction.LOCK.UPDATE,
  })
  return allowed(actor, 'edit', site, transaction)
}

async function pageEntries(siteId: string, transaction: Transaction): Promise<PageEntry[]> {
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
    transaction,
  })
  return rows as unknown as PageEntry[]
}

/** All sites that the actor may see; one that cannot be read is told, and takes no other with it. */
export function listSites(actor: Actor): Promise<ShelfEntry[]> {
  return atOneMoment(async (transaction) => {
    const { Member, Site } = models()
    const workspaces = await Member.findAll({ where: { userId: actor.userId }, transaction })
    const rows = await Site.findAll({
      where: { workspaceId: workspaces.map(({ workspaceId }) => workspaceId) },
      order: ['position'],
      transaction,
    })
    const entries: ShelfEntry[] = []
    for (const { id, name, frame } of rows) {
      try {
        entries.push({
          id,
          name,
          frame: readFrame(frame),
          pages: await pageEntries(id, transaction),
        })
      } catch (error) {
        if (!isUnreadable(error)) throw error
        entries.push({ id, name, unreadable: true })
      }
    }
    return entries
  })
}

/** Whether there is something to undo and to redo. */
export async function standing(
  siteId: string,
  transaction: Transaction,
): Promise<{ canUndo: boolean; canRedo: boolean }> {
  const any = async (state: 'live' | 'undone') => {
    const where = { siteId, standing: state }
    const found = await models().Edit.findOne({ where, attributes: ['revision'], transaction })
    return found !== null
  }
  return { canUndo: await any('live'), canRedo: await any('undone') }
}

export const loadSite = (actor: Actor, siteId: string): Promise<Result<LoadedSite>> =>
  sharedReading(`site ${actor.userId} ${siteId}`, () => readSite(actor, siteId))

function readSite(actor: Actor, siteId: string): Promise<Result<LoadedSite>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const site = found.value
    const assets = await models().Asset.findAll({ where: { siteId }, transaction })
    return done({
      id: site.id,
      name: site.name,
      frame: readFrame(site.frame),
      revision: site.revision,
      pages: await pageEntries(siteId, transaction),
      assets: Object.fromEntries(assets.map(({ id, details }) => [id, details])),
      ...(await standing(siteId, transaction)),
    })
  })
}

export const loadPage = (
  actor: Actor,
  siteId: string,
  pageId: string,
): Promise<Result<LoadedPage>> =>
  sharedReading(`page ${actor.userId} ${siteId} ${pageId}`, () => readPageOf(actor, siteId, pageId))

function readPageOf(actor: Actor, siteId: string, pageId: string): Promise<Result<LoadedPage>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    if (textFault(pageId)) return refused({ code: 'not-found' })
    const row = await models().Page.findOne({ where: { siteId, id: pageId }, transaction })
    if (!row) return refused({ code: 'not-found' })
    return done({ page: readPage(row.document), revision: found.value.revision })
  })
}

/** A site with all its documents, as they were at one moment. */
export function readWhole<T>(
  actor: Actor,
  deed: Deed,
  siteId: string,
  read: (site: SiteRow, docs: SiteDocs, transaction: Transaction) => Promise<Result<T>> | Result<T>,
): Promise<Result<T>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, deed, siteId, transaction)
    if (!found.ok) return found
    return read(found.value, await loadDocs(found.value, 'all', transaction), transaction)
  })
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
  return siteDocs(readFrame(site.frame), pages)
}

/**
 * Stores the documents that differ, each with its summary. All of them are
 * checked before the first is stored; false, and nothing is, where one could
 * not be read again.
 */
export async function storeDocs(
  site: SiteRow,
  before: SiteDocs,
  after: SiteDocs,
  transaction: Transaction,
): Promise<boolean> {
  const isFrameNew = before.frame !== after.frame
  const pages = Object.values(after.pages).filter((page) => before.pages[page.id] !== page)
  const isWhole =
    (!isFrameNew || frameSchema.safeParse(after.frame).success) &&
    pages.every((page) => pageSchema.safeParse(page).success)
  if (!isWhole) return false
  if (isFrameNew) {
    site.frame = after.frame
    site.summary = summarize(after.frame.body)
  }
  for (const page of pages) {
    await models().Page.update(
      { document: page, summary: summarize(page.body) },
      { where: { siteId: site.id, id: page.id }, transaction },
    )
  }
  return true
}

/** One text for the whole state of a site, to compare states by. */
export function stateText(docs: SiteDocs): string {
  return canonicalJson(docs)
}
