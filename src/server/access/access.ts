import type { Transaction } from 'sequelize'
import { refused, done, type Result } from '@/core/payloads'
import { textFault } from '@/core/site'
import { models, type SiteRow } from '../database/models'
import { deedsOf, type Actor, type Deed } from './actor'

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

/** A site that was removed is one that is not there. */
const unlessRemoved = (site: SiteRow | null) => (site?.removedAt ? null : site)

/** Finds a site for a deed: the row, or why not. */
export async function siteFor(
  actor: Actor,
  deed: Deed,
  siteId: string,
  transaction?: Transaction,
): Promise<Result<SiteRow>> {
  if (textFault(siteId)) return refused({ code: 'not-found' })
  const site = await models().Site.findByPk(siteId, { transaction })
  return allowed(actor, deed, unlessRemoved(site), transaction)
}

/** The row of a site, locked. */
function lockedRow(siteId: string, transaction: Transaction): Promise<SiteRow | null> {
  // Its key stays as it is: whoever only refers to the site from another connection need not wait.
  const lock = transaction.LOCK.NO_KEY_UPDATE
  return models().Site.findByPk(siteId, { transaction, lock })
}

/** The same for a change, with the row locked. */
export async function lockedSiteFor(
  actor: Actor,
  siteId: string,
  transaction: Transaction,
): Promise<Result<SiteRow>> {
  if (textFault(siteId)) return refused({ code: 'not-found' })
  const site = unlessRemoved(await lockedRow(siteId, transaction))
  return allowed(actor, 'edit', site, transaction)
}

/** The same for what is done to its place on the shelf, where a site that was removed is found too. */
export async function shelvedSiteFor(
  actor: Actor,
  deed: Deed,
  siteId: string,
  transaction: Transaction,
): Promise<Result<SiteRow>> {
  if (textFault(siteId)) return refused({ code: 'not-found' })
  return allowed(actor, deed, await lockedRow(siteId, transaction), transaction)
}
