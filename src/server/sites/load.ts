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
import { standing } from '../edits/change-site'
import { loadFrame, loadRecords } from '../records'
import { countPages, pageWindow } from './pages'
import { picturesShownIn } from './pictures'
import { siteLooks } from '../uses/looks'

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
        const [first] = await pageWindow(id, 0, 1, transaction)
        const pageCount = await countPages(id, transaction)
        entries.push({ id, name, frame, pageCount, ...(first ? { first } : {}) })
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
