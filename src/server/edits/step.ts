import type { Transaction } from 'sequelize'
import { done, refused, type Result, type Saved } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { firstOf } from '../database/first-of'
import { models, type EditRow } from '../database/models'
import { addToHistory, changeAndTell } from './change-site'
import { changesOf, countRecords, HistoryClosed, recordsOfEdit } from './edit-records'
import { targetOf } from './standing'
import type { WidePlan, WorkWatch } from './wide-plan'
import { runWide } from './wide-run'
import { workingSet } from './working-set'

export type StepKind = 'undo' | 'redo'
type Kind = StepKind

/** Why there is nothing to step to: because nothing was done, or because the history is closed there. */
async function nothing(siteId: string, kind: Kind, transaction: Transaction) {
  if (kind === 'redo') return refused({ code: 'nothing-to-redo' })
  const where = { siteId, standing: 'closed' as const }
  const closed = await firstOf(models().Edit, { where, transaction })
  return refused({ code: closed ? 'history-closed' : 'nothing-to-undo' })
}

/** Changes of more records than these are gone through beside the site. */
const MANY = 40

/** A step over many records, each by its stored changes. */
function stepPlan(
  actor: Actor,
  siteId: string,
  kind: Kind,
  { revision, told }: EditRow,
): WidePlan<null> {
  const way = kind === 'undo' ? 'back' : 'forth'
  return {
    isStep: true,
    prepare: () => Promise.resolve(done(null)),
    reached: (_ready, after, transaction) => recordsOfEdit(siteId, revision, after, transaction),
    async plan(_ready, records, transaction) {
      const changes = await changesOf(siteId, revision, way, transaction, records)
      if (changes === 'closed') throw new HistoryClosed()
      const byRecord = new Map(changes.map((each) => [`${each.kind}/${each.id}`, each.changes]))
      return records.map(({ kind: of, id }) => {
        const own = byRecord.get(`${of}/${id}`)
        return own && { changes: own, counted: 1 }
      })
    },
    async conclude(_ready, _totals, _site, transaction) {
      const target = await targetOf(siteId, kind, transaction)
      if (target?.revision !== revision) return refused({ code: 'step-unfit', kind, told })
      return done(await stepRow(actor, kind, target, transaction))
    },
  }
}

/** Marks the change that a step is about, and gives the line of history. */
async function stepRow(actor: Actor, kind: Kind, target: EditRow, transaction: Transaction) {
  await target.update({ standing: kind === 'undo' ? 'undone' : 'live' }, { transaction })
  const { revision, told } = target
  return {
    clientId: null,
    actorId: actor.userId,
    kind,
    target: revision,
    standing: null,
    told,
  }
}

/** Whether the change that a step would be about reaches many records, and which it is. */
const largeTarget = (siteId: string, kind: Kind): Promise<EditRow | undefined> =>
  atOneMoment(async (transaction) => {
    const target = await targetOf(siteId, kind, transaction)
    if (!target) return undefined
    return (await countRecords(siteId, target.revision, transaction)) > MANY ? target : undefined
  })

/** Whether the next step reaches so many records that it is work of its own. */
export const isLargeStep = async (siteId: string, kind: Kind): Promise<boolean> =>
  (await largeTarget(siteId, kind)) !== undefined

/**
 * Takes the last live change back, or brings the last undone one again: as a new edit, so history
 * only grows. Beside the site where many records are gone through, for work that may take a while.
 */
export async function step(
  actor: Actor,
  siteId: string,
  base: number,
  kind: Kind,
  watch?: WorkWatch,
): Promise<Result<{ readonly revision: number }>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const large = await largeTarget(siteId, kind)
  if (!large) return stepAtOnce(actor, siteId, base, kind)
  try {
    const result = await runWide(actor, siteId, base, stepPlan(actor, siteId, kind, large), watch)
    const isUnfit = !result.ok && result.problem.code === 'edit-refused'
    return isUnfit ? refused({ code: 'step-unfit', kind, told: large.told }) : result
  } catch (error) {
    if (error instanceof HistoryClosed) return refused({ code: 'history-closed' })
    throw error
  }
}

/** The same while the site is held, with all that happened to it since, for whoever waits for that. */
export function stepAtOnce(
  actor: Actor,
  siteId: string,
  base: number,
  kind: Kind,
): Promise<Result<Saved>> {
  return changeAndTell(actor, siteId, base, base, async (site, transaction) => {
    const target = await targetOf(siteId, kind, transaction)
    if (!target) return nothing(siteId, kind, transaction)
    const way = kind === 'undo' ? 'back' : 'forth'
    const changes = await changesOf(siteId, target.revision, way, transaction)
    if (changes === 'closed') return refused({ code: 'history-closed' })
    const records = await workingSet(siteId, transaction)
    const unfit = refused({ code: 'step-unfit', kind, told: target.told })
    if (!(await records.change(changes))) return unfit
    await addToHistory(site, await stepRow(actor, kind, target, transaction), [], transaction)
    await records.store(site.revision)
    return done({})
  })
}

export const undo = (actor: Actor, siteId: string, base: number) =>
  step(actor, siteId, base, 'undo')
export const redo = (actor: Actor, siteId: string, base: number) =>
  step(actor, siteId, base, 'redo')
