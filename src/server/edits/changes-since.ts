import { done, type ChangesSince, type Result } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { standing } from './standing'
import { entriesOrFar, entriesSince } from './since'

/** What happened to a site since a revision: all about the pages that are held, by name about the others. */
export function changesSince(
  actor: Actor,
  siteId: string,
  since: number,
  held?: readonly string[],
): Promise<Result<ChangesSince>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    return done({
      revision: found.value.revision,
      ...(await standing(siteId, transaction)),
      ...entriesOrFar(await entriesSince(siteId, since, transaction, held)),
    })
  })
}
