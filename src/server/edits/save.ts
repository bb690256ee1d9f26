import type { Transaction } from 'sequelize'
import { applyEdit, describeEdit, kindOfEdit, type Edit } from '@/core/edit'
import { done, refused, type Result, type Saved } from '@/core/payloads'
import type { Actor } from '../access'
import { models, type SiteRow } from '../database/models'
import { abandonUndone, addToHistory, changeAndTell } from './change-site'
import { workingSet, type WorkingSet } from './working-set'

export interface PendingEdit {
  /** Made by the client, so that an edit sent twice is stored once. */
  readonly clientId: string
  readonly edit: Edit
}

/** Longest line that history tells of a change. */
const mostTold = 400

/** Carries out one edit on the records at hand and adds it to the history. */
async function performEdit(
  actor: Actor,
  site: SiteRow,
  records: WorkingSet,
  { clientId, edit }: { readonly clientId: string | null; readonly edit: Edit },
  transaction: Transaction,
): Promise<Result<null>> {
  const refuse = (problem: Parameters<typeof refusal>[0]) => refused(refusal(problem, clientId))
  await records.need(kindOfEdit(edit).needs?.(edit) ?? [])
  const before = records.docs()
  const result = applyEdit(before, edit)
  if (!result.ok) return refuse(result.problem)
  const problem = await records.take(result.docs, result.changes)
  if (problem) return refuse(problem)
  await addToHistory(
    site,
    {
      clientId,
      actorId: actor.userId,
      kind: 'do',
      target: null,
      standing: 'live',
      told: describeEdit(edit, before).slice(0, mostTold),
    },
    result.changes,
    transaction,
  )
  return done(null)
}

const refusal = (
  problem: Extract<Parameters<typeof refused>[0], { code: 'edit-refused' }>['problem'],
  clientId: string | null,
) => ({ code: 'edit-refused', problem, clientId: clientId ?? '' }) as const

/** Carries out edits on a site that is held, in their order, and stores what records become. */
export async function performEdits(
  actor: Actor,
  site: SiteRow,
  edits: ReadonlyArray<{ readonly clientId: string | null; readonly edit: Edit }>,
  transaction: Transaction,
): Promise<Result<null>> {
  if (edits.length === 0) return done(null)
  const records = await workingSet(site.id, transaction)
  await abandonUndone(site.id, transaction)
  for (const each of edits) {
    const performed = await performEdit(actor, site, records, each, transaction)
    if (!performed.ok) return performed
  }
  await records.store(site.revision)
  return done(null)
}

/**
 * Stores edits in their order, all or none, on the site as it is: an edit says
 * what is wanted, and what it comes to is told with all that happened since
 * `base`. Edits that are stored already (a client that heard no answer sends
 * them again) are passed over.
 */
export function saveEdits(
  actor: Actor,
  siteId: string,
  base: number,
  edits: readonly PendingEdit[],
): Promise<Result<Saved>> {
  return changeAndTell(actor, siteId, 'any', base, async (site, transaction) => {
    const known = await models().Edit.findAll({
      where: { siteId, clientId: edits.map(({ clientId }) => clientId) },
      attributes: ['clientId'],
      transaction,
    })
    const stored = new Set(known.map(({ clientId }) => clientId))
    const fresh = edits.filter(({ clientId }) => !stored.has(clientId))
    const performed = await performEdits(actor, site, fresh, transaction)
    return performed.ok ? done({}) : performed
  })
}
