import type { CreationAttributes, Transaction } from 'sequelize'
import {
  applyEdit,
  describeEdit,
  kindOfEdit,
  pagesOfPatches,
  patchedDocs,
  type Edit,
  type DocPatch,
  type Edit,
} from '@/core/edit'
import { done, refused, type HistoryEntry, type Result, type Saved } from '@/core/payloads'
import type { SiteDocs } from '@/core/site'
import type { Actor } from './actor'
import { models, type EditRow, type SiteRow } from './database/models'
import { loadDocs, lockedSiteFor, siteFor, standing, storeDocs } from './sites'
import { inTurn } from './turns'

export interface PendingEdit {
  /** Made by the client, so that an edit sent twice is stored once. */
  readonly clientId: string
  readonly edit: Edit
}

/** The revision that a change is made on; a function where only the database tells, `any` where it is made anew on whatever there is. */
type Base = number | 'any' | ((transaction: Transaction) => Promise<number>)

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
        const wanted = typeof base === 'function' ? await base(transaction) : base
        if (!found.ok) outcome = found
        else if (wanted !== 'any' && found.value.revision !== wanted) {
          outcome = refused({ code: 'stale', revision: found.value.revision })
        } else outcome = await change(await found.value.reload({ transaction }), transaction)
        if (!outcome.ok) throw rollback
      })
    } catch (error) {
      if (error !== rollback) throw error
    }
    return outcome!
  })
}

/**
 * The same for a change that gives the site a new revision, which it tells: all
 * that is told is asked before the change is final, so that nothing that fails
 * after it can make a stored change look like one that was not.
 */
export function changeAndTell<Extra extends object>(
  actor: Actor,
  siteId: string,
  base: Base,
  change: (site: SiteRow, transaction: Transaction) => Promise<Result<Extra>>,
): Promise<Result<Saved & Extra>> {
  return changeSite(actor, siteId, base, async (site, transaction) => {
    const changed = await change(site, transaction)
    if (!changed.ok) return changed
    await site.save({ transaction })
    const { revision } = site
    return done({ revision, ...(await standing(siteId, transaction)), ...changed.value })
  })
}

async function record(
  site: SiteRow,
  row: Omit<CreationAttributes<EditRow>, 'siteId' | 'revision'>,
  transaction: Transaction,
): Promise<void> {
  site.revision += 1
  await models().Edit.create({ ...row, siteId: site.id, revision: site.revision }, { transaction })
}

/** Carries out one edit within a transaction that holds the site. */
export async function performEdit(
  actor: Actor,
  site: SiteRow,
  edit: Edit,
  clientId: string | null,
  transaction: Transaction,
): Promise<Result<SiteDocs>> {
  const before = await loadDocs(site, kindOfEdit(edit).pages(edit), transaction)
  const result = applyEdit(before, edit)
  if (!result.ok) {
    return refused({ code: 'edit-refused', problem: result.problem, clientId: clientId ?? '' })
  }
  await models().Edit.update(
    { standing: 'abandoned' },
    { where: { siteId: site.id, standing: 'undone' }, transaction },
  )
  if (!(await storeDocs(site, before, result.docs, transaction))) {
    return refused({ code: 'edit-refused', problem: 'not-whole', clientId: clientId ?? '' })
  }
  await record(
    site,
    {
      clientId,
      actorId: actor.userId,
      kind: 'do',
      target: null,
      standing: 'live',
      told: describeEdit(edit, before).slice(0, 400),
      command: edit,
      patches: result.patches,
      inverse: result.inverse,
    },
    transaction,
  )
  return done(result.docs)
}

/**
 * Carries out one edit that is made from all pages of a site, where only the
 * server has them all; what makes it may refuse.
 */
export function changeByEdit(
  actor: Actor,
  siteId: string,
  base: number,
  editFrom: (docs: SiteDocs) => Result<Edit>,
): Promise<Result<Saved>> {
  return changeAndTell(actor, siteId, base, async (site, transaction) => {
    const edit = editFrom(await loadDocs(site, 'all', transaction))
    if (!edit.ok) return edit
    const performed = await performEdit(actor, site, edit.value, null, transaction)
    return performed.ok ? done({}) : performed
  })
}

/**
 * Stores edits in their order, all or none. Edits that are stored already (a
 * client that heard no answer sends them again) are passed over.
 */
export function saveEdits(
  actor: Actor,
  siteId: string,
  base: number,
  edits: readonly PendingEdit[],
): Promise<Result<Saved>> {
  const stored = new Set<string | null>()
  const since = async (transaction: Transaction) => {
    const known = await models().Edit.findAll({
      where: { siteId, clientId: edits.map(({ clientId }) => clientId) },
      attributes: ['clientId', 'revision'],
      transaction,
    })
    for (const { clientId } of known) stored.add(clientId)
    return Math.max(base, ...known.map(({ revision }) => revision))
  }
  return changeAndTell(actor, siteId, since, async (site, transaction) => {
    for (const { clientId, edit } of edits) {
      if (stored.has(clientId)) continue
      const performed = await performEdit(actor, site, edit, clientId, transaction)
      if (!performed.ok) return performed
    }
    return done({})
  })
}

/** Takes the last live change back, or brings the last undone one again: as a new edit, so history only grows. */
function step(
  actor: Actor,
  siteId: string,
  base: number,
  kind: 'undo' | 'redo',
): Promise<Result<Saved>> {
  const from = kind === 'undo' ? 'live' : 'undone'
  return changeAndTell(actor, siteId, base, async (site, transaction) => {
    const target = await models().Edit.findOne({
      where: { siteId, standing: from },
      order: [['revision', kind === 'undo' ? 'DESC' : 'ASC']],
      transaction,
    })
    if (!target) return refused({ code: kind === 'undo' ? 'nothing-to-undo' : 'nothing-to-redo' })
    const [patches, inverse] =
      kind === 'undo' ? [target.inverse, target.patches] : [target.patches, target.inverse]
    if (!(await applyPatchesTo(site, patches, transaction))) {
      return refused({ code: 'step-unfit', kind, told: target.told })
    }
    await target.update({ standing: kind === 'undo' ? 'undone' : 'live' }, { transaction })
    await record(
      site,
      {
        clientId: null,
        actorId: actor.userId,
        kind,
        target: target.revision,
        standing: null,
        told: target.told,
        command: { type: kind, target: target.revision },
        patches,
        inverse,
      },
      transaction,
    )
    return done({})
  })
}

/** Whether patches could be applied: those of an older shape of the documents may no longer fit. */
async function applyPatchesTo(
  site: SiteRow,
  patches: readonly DocPatch[],
  transaction: Transaction,
): Promise<boolean> {
  const before = await loadDocs(site, pagesOfPatches(patches), transaction)
  const after = patchedDocs(before, patches)
  return after !== undefined && storeDocs(site, before, after, transaction)
}

export const undo = (actor: Actor, siteId: string, base: number) =>
  step(actor, siteId, base, 'undo')
export const redo = (actor: Actor, siteId: string, base: number) =>
  step(actor, siteId, base, 'redo')

/** The newest edits first, at most `limit`. */
export async function readHistory(
  actor: Actor,
  siteId: string,
  limit = 200,
): Promise<Result<HistoryEntry[]>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const rows = await models().Edit.findAll({
    where: { siteId },
    attributes: ['revision', 'kind', 'standing', 'told', 'createdAt'],
    order: [['revision', 'DESC']],
    limit,
  })
  return done(
    rows.map(({ revision, kind, standing: state, told, createdAt }) => ({
      revision,
      kind,
      standing: state,
      told,
      at: createdAt.toISOString(),
    })),
  )
}
