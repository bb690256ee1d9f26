import type { InferAttributes, Transaction } from 'sequelize'
import { refused, done, type Result } from '@/core/payloads'
import { textFault } from '@/core/site'
import { models, type MemberRole, type SiteRow } from '../database/models'
import { select } from '../database/sets'
import { deedsFor, type Actor, type Deed } from './actor'

type FoundSite = InferAttributes<SiteRow>

/** Whoever only refers to a site that is locked so, from another connection, need not wait: its key stays as it is. */
const LOCK = 'for no key update of s'

interface Found {
  readonly site: FoundSite
  readonly role: MemberRole | null
}

/** A site and the part that an actor has in it: one question. */
async function findSite(
  actor: Actor,
  siteId: string,
  transaction?: Transaction,
  lock = '',
): Promise<Found | undefined> {
  if (textFault(siteId)) return
  const [row] = await select<FoundSite & { readonly role: MemberRole | null }>(
    `select s.id, s.workspace_id as "workspaceId", s.name, s.position, s.revision,
       s.archived_at as "archivedAt", s.removed_at as "removedAt", m.role
     from sites s left join members m on m.workspace_id = s.workspace_id and m.user_id = $2
     where s.id = $1 ${lock}`,
    [siteId, actor.userId],
    transaction,
  )
  if (!row) return
  const { role, ...site } = row
  return { site, role }
}

/** Whether a deed may be done with a site, or why not. Who may not read it learns nothing of it. */
function allowed(deed: Deed, found: Found | undefined): Result<FoundSite> {
  const deeds = found?.role ? deedsFor(found.role) : []
  if (!found || !deeds.includes('read')) return refused({ code: 'not-found' })
  return deeds.includes(deed) ? done(found.site) : refused({ code: 'forbidden' })
}

/** A site that was removed is one that is not there. */
const unlessRemoved = (found: Found | undefined) => (found?.site.removedAt ? undefined : found)

/** Finds a site for a deed: the row, or why not. */
export async function siteFor(
  actor: Actor,
  deed: Deed,
  siteId: string,
  transaction?: Transaction,
): Promise<Result<FoundSite>> {
  return allowed(deed, unlessRemoved(await findSite(actor, siteId, transaction)))
}

/** The same, as what can be saved. */
function toChange(deed: Deed, found: Found | undefined): Result<SiteRow> {
  const may = allowed(deed, found)
  if (!may.ok) return may
  return done(models().Site.build(may.value, { isNewRecord: false, raw: true }))
}

/** Finds a site for a change, with its row locked. */
export async function lockedSiteFor(
  actor: Actor,
  siteId: string,
  transaction: Transaction,
): Promise<Result<SiteRow>> {
  return toChange('edit', unlessRemoved(await findSite(actor, siteId, transaction, LOCK)))
}

/** The same for what is done to its place on the shelf, where a site that was removed is found too. */
export async function shelvedSiteFor(
  actor: Actor,
  deed: Deed,
  siteId: string,
  transaction: Transaction,
): Promise<Result<SiteRow>> {
  return toChange(deed, await findSite(actor, siteId, transaction, LOCK))
}
