import { done, type Result, type SiteCounts } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { siteLooks } from '../uses/looks'
import { countPages } from './pages'

/** What is counted over all pages of a site. */
export function siteCounts(actor: Actor, siteId: string): Promise<Result<SiteCounts>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    return done({
      revision: found.value.revision,
      pageCount: await countPages(siteId, transaction),
      looks: await siteLooks(siteId, transaction),
    })
  })
}
