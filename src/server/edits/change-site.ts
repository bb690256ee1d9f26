import type { CreationAttributes, Transaction } from 'sequelize'
import { done, refused, type Result, type Saved } from '@/core/payloads'
import { inTurn, lockedSiteFor, type Actor } from '../access'
import { models, type EditRow, type SiteRow } from '../database/models'
import { announce } from '../live/hear'
import type { RecordChange } from '@/core/site'
import { keepChanges } from './edit-records'
import { entriesOrFar, entriesSince } from './since'
import { standing } from './standing'

/** The revision that a change is made on; `any` where it is made anew on whatever there is. */
export type Base = number | 'any'

/**
 * Runs a change of one site in one transaction, with the site's row locked and
 * nobody else of this server at it; a refusal rolls all back.
 */
export function changeSite<T>(
  actor: Actor,
  siteId: string,
  base: Base,
  change: (site: SiteRow, transaction: Transaction) => Promise<Result<T>>,
): Promise<Result<T>> {
  return inTurn(siteId, async () => {
    let outcome: Result<T> | undefined
    const rollback = new Error('refused')
    try {
      await models().sequelize.transaction(async (transaction) => {
        const found = await lockedSiteFor(actor, siteId, transaction)
        if (!found.ok) outcome = found
        else if (base !== 'any' && found.value.revision !== base) {
          outcome = refused({ code: 'stale', revision: found.value.revision })
        } else outcome = await change(found.value, transaction)
        if (!outcome.ok) throw rollback
      })
    } catch (error) {
      if (error !== rollback) throw error
    }
    return outcome!
  })
}

/** Gives a site its new revision, and tells of it. */
export async function landSite(site: SiteRow, transaction: Transaction): Promise<void> {
  await site.save({ transaction })
  const { id, revision } = site
  await announce({ what: 'landed', site: id, revision }, transaction)
}

/**
 * A change that gives the site a new revision, which it tells with all that
 * happened since `since`: everything that is told is asked before the change is
 * final, so that nothing that fails after it can make a stored change look like
 * one that was not.
 */
export function changeAndTell<Extra extends object>(
  actor: Actor,
  siteId: string,
  base: Base,
  since: number,
  change: (site: SiteRow, transaction: Transaction) => Promise<Result<Extra>>,
): Promise<Result<Saved & Extra>> {
  return changeSite(actor, siteId, base, async (site, transaction) => {
    const changed = await change(site, transaction)
    if (!changed.ok) return changed
    await landSite(site, transaction)
    return done({
      revision: site.revision,
      ...(await standing(siteId, transaction)),
      ...entriesOrFar(await entriesSince(siteId, since, transaction)),
      ...changed.value,
    })
  })
}

/** Adds an edit to the history of a site that is held, with its changes by record. */
export async function addToHistory(
  site: SiteRow,
  row: Omit<CreationAttributes<EditRow>, 'siteId' | 'revision'>,
  changes: readonly RecordChange[],
  transaction: Transaction,
): Promise<void> {
  site.revision += 1
  const { id: siteId, revision } = site
  await models().Edit.create({ ...row, siteId, revision }, { transaction })
  await keepChanges(siteId, revision, changes, transaction)
}

/** What was undone can no longer be brought again once something new is done. */
export async function abandonUndone(siteId: string, transaction: Transaction): Promise<void> {
  await models().Edit.update(
    { standing: 'abandoned' },
    { where: { siteId, standing: 'undone' }, transaction },
  )
}
