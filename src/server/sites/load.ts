import type { Transaction } from 'sequelize'
import {
  done,
  refused,
  type LoadedPage,
  type LoadedSite,
  type Result,
  type ShelfEntry,
} from '@/core/payloads'
import { writeHex } from '@/core/color'
import { inEditor, renderAlone } from '@/core/render'
import { slotColor } from '@/core/resolve'
import { isUnreadable, siteDocs, slotsInOrder, textFault, type Page } from '@/core/site'
import { sharedReading, siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { standing } from '../edits/standing'
import { daysOfGrace, loadFonts, loadFrame, loadRecords } from '../records'
import { countPages, homeOf } from './pages'
import { picturesShownIn } from './pictures'
import { siteLooks } from '../uses/looks'

interface Shelved {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly place: ShelfEntry['place']
  readonly changed_at: Date
  readonly days_left: number | null
}

async function inShort(
  { id, revision }: Shelved,
  transaction: Transaction,
): Promise<ShelfEntry['site']> {
  try {
    const { palette, themes } = await loadFrame(id, transaction)
    return {
      revision,
      pageCount: await countPages(id, transaction),
      themeCount: themes.order.length,
      colors: slotsInOrder(palette).map((slot) =>
        slot.value === null ? null : writeHex(slotColor(palette, slot.id)),
      ),
    }
  } catch (error) {
    if (!isUnreadable(error)) throw error
    return 'unreadable'
  }
}

/**
 * All sites that the actor may see, last changed first, those that were put away
 * or removed too; one that cannot be read is told, and takes no other with it.
 */
export function listSites(actor: Actor): Promise<ShelfEntry[]> {
  return atOneMoment(async (transaction) => {
    const rows = await select<Shelved>(
      `select s.id, s.name, s.revision,
         case when s.removed_at is not null then 'removed'
           when s.archived_at is not null then 'away' else 'shelf' end as place,
         greatest(s.created_at, (select max(e.created_at) from edits e where e.site_id = s.id))
           as changed_at,
         ceil(extract(epoch from s.removed_at + interval '${daysOfGrace} days' - now()) / 86400)::int
           as days_left
       from sites s join members m on m.workspace_id = s.workspace_id and m.user_id = $1
       order by changed_at desc, s.position`,
      [actor.userId],
      transaction,
    )
    const entries: ShelfEntry[] = []
    for (const row of rows) {
      const { id, name, place, changed_at: changed, days_left: days } = row
      const site = await inShort(row, transaction)
      const left = days === null ? {} : { daysLeft: Math.max(0, days) }
      entries.push({ id, name, place, changedAt: changed.toISOString(), ...left, site })
    }
    return entries
  })
}

/** The first page of a site as it looks now, to stand by itself in small: nothing in it runs. */
export function homePicture(actor: Actor, siteId: string): Promise<Result<string>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const frame = await loadFrame(siteId, transaction)
    const home = await homeOf(siteId, transaction)
    const page = home && (await pageOf(siteId, home, transaction))
    if (!page) return refused({ code: 'not-found' })
    const pictures = await picturesShownIn(siteId, [frame, page], transaction)
    const fonts = await loadFonts(siteId, transaction)
    return done(
      renderAlone(
        siteDocs(frame, [page], Object.values(pictures)),
        page,
        inEditor(siteId, { frame, pictures, fonts }),
      ),
    )
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
      fonts: await loadFonts(siteId, transaction),
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
  wanted?: string,
): Promise<Result<{ readonly site: LoadedSite; readonly page: LoadedPage }>> {
  const site = await loadSite(actor, siteId)
  if (!site.ok) return site
  const asked = wanted && !textFault(wanted) ? await loadPage(actor, siteId, wanted) : undefined
  const home = asked?.ok ? undefined : await homeOf(siteId)
  const page = asked?.ok
    ? asked
    : home
      ? await loadPage(actor, siteId, home)
      : refused({ code: 'not-found' })
  if (!page.ok) return page
  // Somebody changed the site between the two.
  if (page.value.revision !== site.value.revision) return openSite(actor, siteId, wanted)
  return done({ site: site.value, page: page.value })
}
