import type { Transaction } from 'sequelize'
import {
  done,
  refused,
  type LoadedPage,
  type LoadedSite,
  type Result,
  type ShelfEntry,
} from '@/core/payloads'
import { isUnreadable, textFault, type Page } from '@/core/site'
import { sharedReading, siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { models } from '../database/models'
import { standing } from '../edits/standing'
import { loadFrame, loadRecords } from '../records'
import { countPages, pageWindow } from './pages'
import { picturesShownIn } from './pictures'
import { siteLooks } from '../uses/looks'

/** Pages of a site that the shelf shows. */
const FIRST = 7

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
    for (const { id, name } of rows) {
      try {
        const frame = await loadFrame(id, transaction)
        const pages = await pageWindow(id, 0, FIRST, transaction)
        const pageCount = await countPages(id, transaction)
        entries.push({ id, name, frame, pageCount, pages })
      } catch (error) {
        if (!isUnreadable(error)) throw error
        entries.push({ id, name, unreadable: true })
      }
    }
    return entries
  })
}

export const loadSite = (actor: Actor, siteId: string): Promise<Result<LoadedSite>> =>
  sharedReading(`site ${actor.userId} ${siteId}`, () => readSite(actor, siteId))

function readSite(actor: Actor, siteId: string): Promise<Result<LoadedSite>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const { id, name, revision } = found.value
    const frame = await loadFrame(siteId, transaction)
    return done({
      id,
      name,
      frame,
      revision,
      pageCount: await countPages(siteId, transaction),
      looks: await siteLooks(siteId, transaction),
      pictures: await picturesShownIn(siteId, [frame], transaction),
      ...(await standing(siteId, transaction)),
    })
  })
}

export const loadPage = (
  actor: Actor,
  siteId: string,
  pageId: string,
): Promise<Result<LoadedPage>> =>
  sharedReading(`page ${actor.userId} ${siteId} ${pageId}`, () => readPage(actor, siteId, pageId))

async function pageOf(siteId: string, id: string, transaction: Transaction) {
  if (textFault(id)) return undefined
  const [found] = await loadRecords(siteId, [{ kind: 'page', id }], transaction)
  return found?.record as Page | undefined
}

function readPage(actor: Actor, siteId: string, pageId: string): Promise<Result<LoadedPage>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const page = await pageOf(siteId, pageId, transaction)
    if (!page) return refused({ code: 'not-found' })
    const pictures = await picturesShownIn(siteId, [page], transaction)
    return done({ page, pictures, revision: found.value.revision })
  })
}

/** A site with its first page, both of one moment: what a window begins with. */
export async function openSite(
  actor: Actor,
  siteId: string,
): Promise<Result<{ readonly site: LoadedSite; readonly page: LoadedPage }>> {
  const site = await loadSite(actor, siteId)
  if (!site.ok) return site
  const [first] = await pageWindow(siteId, 0, 1)
  const page = first ? await loadPage(actor, siteId, first.id) : refused({ code: 'not-found' })
  if (!page.ok) return page
  // Somebody changed the site between the two.
  if (page.value.revision !== site.value.revision) return openSite(actor, siteId)
  return done({ site: site.value, page: page.value })
}
