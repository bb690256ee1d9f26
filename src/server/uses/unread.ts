import type { Transaction } from 'sequelize'
import { readUnreadInAddress, readUnreadInSvg } from '@/core/markup'
import { done, type Result, type UnreadPlaces } from '@/core/payloads'
import type { Page } from '@/core/site'
import { unreadInPicture, unreadInSnippets, unreadInStylesheet, type Unread } from '@/core/uses'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { loadFrame, loadStates, type RecordState } from '../records'
import { vectorText } from '../storage'

/** Places that are told one by one; others are counted. */
const MOST_TOLD = 20
/** Pages that are in memory at the same time. */
const AT_ONCE = 40

/** What a text has where something in it may not be readable: a page as it is stored, or the file of a picture. */
const MAYBE = String.raw`\m(rgba?|hsla?|hwb|(ok)?lab|(ok)?lch|color)\(|data:image/svg`

async function onPages(siteId: string, transaction: Transaction): Promise<Unread[]> {
  const states = await select<RecordState>(
    `select r.no, r.kind, r.id, r.hash from records r
       join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind = 'page' and position('"kind":"embed"' in c.body) > 0
       and c.body ~* $2 order by r.position, r.id`,
    [siteId, MAYBE],
    transaction,
  )
  const found: Unread[] = []
  for (let at = 0; at < states.length; at += AT_ONCE) {
    const batch = await loadStates(siteId, states.slice(at, at + AT_ONCE), transaction, false)
    for (const { record } of batch) {
      found.push(...unreadInSnippets(record as Page, readUnreadInAddress))
    }
  }
  return found
}

const maybe = new RegExp(MAYBE.replace(String.raw`\m`, String.raw`\b`), 'i')

/** Vector pictures that hold what cannot be read, or whose files are gone. */
async function inPictures(siteId: string, transaction: Transaction): Promise<Unread[]> {
  const rows = await select<{ path: string; file: string }>(
    `select r.path, c.body::jsonb ->> 'file' as file from records r
       join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind = 'picture'
       and position('"mediaType":"image/svg+xml"' in c.body) > 0 order by r.path`,
    [siteId],
    transaction,
  )
  const found: Unread[] = []
  for (const { path, file } of rows) {
    const svg = await vectorText(file)
    if (svg === undefined) found.push({ label: path, text: '', why: 'file-gone' })
    else if (maybe.test(svg)) found.push(...unreadInPicture(path, svg, readUnreadInSvg))
  }
  return found
}

/** What a sweep of colours leaves alone, whatever it is of, because it cannot be read exactly. */
export function unreadPlaces(actor: Actor, siteId: string): Promise<Result<UnreadPlaces>> {
  return atOneMoment(async (transaction) => {
    const site = await siteFor(actor, 'read', siteId, transaction)
    if (!site.ok) return site
    const frame = await loadFrame(siteId, transaction)
    const found = [
      ...unreadInStylesheet(frame.customCss, readUnreadInAddress),
      ...unreadInSnippets(frame, readUnreadInAddress),
      ...(await onPages(siteId, transaction)),
      ...(await inPictures(siteId, transaction)),
    ]
    return done({ count: found.length, first: found.slice(0, MOST_TOLD) })
  })
}
