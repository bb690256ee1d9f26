import { randomUUID } from 'node:crypto'
import type { Transaction } from 'sequelize'
import { done, refused, type Result } from '@/core/payloads'
import { frameRef } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { statesOf } from '../records'
import { Refused } from './becoming'
import { abandonUndone, addToHistory, changeSite, landSite, type Base } from './change-site'
import { keepStagedChanges, putStaged } from './put-staged'
import { setAside, type PutAside } from './set-aside'
import { outdated, stagedTotals, unstage } from './staging'
import { Cancelled, unwatched, type Run, type WidePlan, type WorkWatch } from './wide-plan'

/** How often what changed meanwhile is planned again before the site is held for it. */
const MOST_ROUNDS = 3

/** What was planned, and on what. */
interface Thought<Ready> extends PutAside {
  readonly ready: Ready
  /** The revision up to which all changes of the site were looked at. */
  readonly revision: number
  readonly frame: string
}

async function frameHash(siteId: string, transaction: Transaction): Promise<string> {
  const [frame] = await statesOf(siteId, [frameRef], transaction)
  return frame?.hash ?? ''
}

/** Plans the whole from the beginning. */
async function think<Ready>(
  run: Run<Ready>,
  revision: number,
  transaction: Transaction,
): Promise<Result<Thought<Ready>>> {
  await unstage(run.job)
  const ready = await run.plan.prepare(transaction)
  if (!ready.ok) return ready
  const reached = await run.plan.reached(ready.value, -1, transaction)
  const frame = await frameHash(run.siteId, transaction)
  const aside = await setAside(run, ready.value, reached, 0, transaction)
  return done({ ready: ready.value, revision, frame, ...aside })
}

/** Plans what changed meanwhile again: those records alone, or all where the frame changed, on which all depends. */
async function rethink<Ready>(
  run: Run<Ready>,
  thought: Thought<Ready>,
  revision: number,
  transaction: Transaction,
): Promise<Result<Thought<Ready>>> {
  const { ready, frame } = thought
  if (thought.revision === revision) return done(thought)
  if ((await frameHash(run.siteId, transaction)) !== frame) return think(run, revision, transaction)
  const old = await outdated(run.job, run.siteId, transaction)
  const fresh = await run.plan.reached(ready, thought.revision, transaction)
  const gone = await unstage(run.job, [...old, ...fresh])
  const { there, next } = await setAside(run, ready, fresh, thought.next, transaction)
  return done({ ...thought, revision, next, there: thought.there - gone + there })
}

/** Thinks beside the site, of what changed meanwhile alone where all was thought through before. */
function thinkOn<Ready>(
  actor: Actor,
  run: Run<Ready>,
  base: Base,
  before?: Thought<Ready>,
): Promise<Result<Thought<Ready>>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'edit', run.siteId, transaction)
    if (!found.ok) return found
    const { revision } = found.value
    if (base !== 'any' && base !== revision) return refused({ code: 'stale', revision })
    return before ? rethink(run, before, revision, transaction) : think(run, revision, transaction)
  })
}

/** A wide edit that is stored. */
export interface Written {
  readonly revision: number
  /** How much of what was asked for changed. */
  readonly changed: number
}

/** Thinks and writes; what changed meanwhile is thought again beside the site, but for the last time while it is held. */
async function thinkAndWrite<Ready>(
  actor: Actor,
  run: Run<Ready>,
  base: Base,
): Promise<Result<Written>> {
  let before: Thought<Ready> | undefined
  for (let round = 1; ; round += 1) {
    const thought = await thinkOn(actor, run, base, before)
    if (!thought.ok) return thought
    const written = await write(actor, run, thought.value, base, round >= MOST_ROUNDS)
    if (!written.ok) return written
    if (written.value !== 'moved-on') return done(written.value)
    before = thought.value
  }
}

/**
 * Carries a change of many records out. All thinking is done beside the site: each
 * record is planned, checked, read by the readers and put aside. Then the site is
 * held for the writing alone; records that changed meanwhile are planned again, and
 * only they. Either all of it is stored, as one edit, or nothing is.
 */
export async function runWide<Ready>(
  actor: Actor,
  siteId: string,
  base: Base,
  plan: WidePlan<Ready>,
  watch: WorkWatch = unwatched,
): Promise<Result<Written>> {
  const run: Run<Ready> = { job: randomUUID(), siteId, plan, watch }
  try {
    return await thinkAndWrite(actor, run, base)
  } catch (error) {
    if (error instanceof Cancelled) return refused({ code: 'cancelled' })
    if (error instanceof Refused) {
      return refused({ code: 'edit-refused', problem: error.problem, clientId: '' })
    }
    throw error
  } finally {
    await unstage(run.job)
  }
}

/** Puts what was thought in place while the site is held; not yet where it moved on and is not the last to be asked. */
function write<Ready>(
  actor: Actor,
  run: Run<Ready>,
  thought: Thought<Ready>,
  base: Base,
  isLast: boolean,
): Promise<Result<Written | 'moved-on'>> {
  const { job, siteId, plan, watch } = run
  return changeSite<Written | 'moved-on'>(actor, siteId, base, async (site, transaction) => {
    if (!isLast && site.revision !== thought.revision) return done('moved-on')
    const last = await rethink(run, thought, site.revision, transaction)
    if (!last.ok) return last
    if (watch.isCancelled()) return refused({ code: 'cancelled' })
    watch.report(0.95, 'writing')
    const totals = await stagedTotals(job, transaction)
    if (totals.records !== last.value.there) throw new Error('what was planned is not all there')
    const told = await plan.conclude(last.value.ready, totals, site, transaction)
    if (!told.ok) return told
    if (!plan.isStep) await abandonUndone(siteId, transaction)
    await addToHistory(site, told.value, [], transaction)
    if (!plan.isStep) await keepStagedChanges(job, siteId, site.revision, transaction)
    await putStaged(job, siteId, site.revision, transaction)
    const written = { revision: site.revision, changed: totals.counted }
    await watch.landed?.(written, transaction)
    await landSite(site, transaction)
    return done(written)
  })
}
