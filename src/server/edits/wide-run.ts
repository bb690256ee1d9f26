import { randomUUID } from 'node:crypto'
import type { CreationAttributes, Transaction } from 'sequelize'
import type { Change } from '@/core/changes'
import { done, refused, type JobResult, type Result, type Saved } from '@/core/payloads'
import { frameRef, recordKey, type SiteRecord } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import type { EditRow, SiteRow } from '../database/models'
import { loadStored, statesOf } from '../records'
import type { ReachedRecord } from '../uses/questions'
import { becoming, Refused } from './becoming'
import { abandonUndone, addToHistory, changeAndTell } from './change-site'
import { keepStagedChanges, putStaged } from './put-staged'
import { stageExchanged, type WholeExchange } from './stage-exchanged'
import { outdated, stage, stagedTotals, surveyStaged, unstage, type Staged } from './staging'

/** Records that are in memory at the same time. */
const AT_ONCE = 40
/** Statements that the database works on at the same time, where they do not hang on each other. */
const HANDS = 2
/** How often what changed meanwhile is planned again before the site is held for it. */
const MOST_ROUNDS = 3

export interface RecordPlan {
  readonly changes: readonly Change[]
  readonly counted: number
}

/** A record that a plan looks at. */
export interface Looked extends ReachedRecord {
  /** What it is, read when it is asked for; where only a checkpoint has it, nothing. */
  readonly read: () => SiteRecord | undefined
}

/** How a change of many records is planned: what holds for all of them, which they are, what becomes of each. */
export interface WidePlan<Ready> {
  /** Whether it is a way back or forth in the history, which is told by the change that it points at. */
  readonly isStep?: true
  /** Asked anew where the frame is other than it was. */
  readonly prepare: (transaction: Transaction) => Promise<Result<Ready>>
  /** The records that it may touch, of those that changed after a revision. */
  readonly reached: (
    ready: Ready,
    after: number,
    transaction?: Transaction,
  ) => Promise<ReachedRecord[]>
  /** What is exchanged on pages wherever it stands, so that those that hold nothing else need not be planned. */
  readonly everywhere?: (
    ready: Ready,
    transaction?: Transaction,
  ) => Promise<WholeExchange | undefined>
  /** Plans of some records, one for each; none where a record stays as it is. */
  readonly plan: (
    ready: Ready,
    records: readonly Looked[],
    transaction?: Transaction,
  ) => Promise<ReadonlyArray<RecordPlan | undefined>>
  /** The line of history, or why the whole is refused, once all is planned; the site is held. */
  readonly conclude: (
    ready: Ready,
    totals: { readonly records: number; readonly counted: number },
    site: SiteRow,
    transaction: Transaction,
  ) => Promise<Result<Omit<CreationAttributes<EditRow>, 'siteId' | 'revision'>>>
}

/** Tells how far the work is, and hears whether it is still wanted. */
export interface WorkWatch {
  /** 0…1, with words for what is done. */
  readonly report: (progress: number, doing: string) => void
  readonly isCancelled: () => boolean
  /** Told within the transaction that makes the work final. */
  readonly landed?: (result: JobResult, transaction: Transaction) => Promise<void>
}

export const unwatched: WorkWatch = { report: () => undefined, isCancelled: () => false }

class Cancelled extends Error {}

interface Run<Ready> {
  readonly job: string
  readonly siteId: string
  readonly plan: WidePlan<Ready>
  readonly watch: WorkWatch
}

/** Some records with what they are now, and what becomes of those that change. */
async function planRecords<Ready>(
  { siteId, plan }: Run<Ready>,
  ready: Ready,
  batch: readonly ReachedRecord[],
  transaction?: Transaction,
): Promise<Staged[]> {
  if (batch.length === 0) return []
  const there = batch.filter((each): each is ReachedRecord & { hash: string } => !!each.hash)
  const loaded = await loadStored(siteId, there, transaction)
  const stored = new Map(loaded.map((each) => [recordKey(each), each]))
  const looked = batch.map((each) => ({
    ...each,
    read: () => stored.get(recordKey(each))?.read(),
  }))
  const plans = await plan.plan(ready, looked, transaction)
  const changing = looked.flatMap((each, i) => {
    const own = plans[i]
    return own?.changes.length ? [{ ...each, ...own, stored: stored.get(recordKey(each)) }] : []
  })
  return Promise.all(changing.map(becoming))
}

/** Work that is waited for later: until then nobody else hears that it failed. */
function later<T>(work: Promise<T>): Promise<T> {
  work.catch(() => undefined)
  return work
}

/** What came to stand beside the site: how many records, and the number that the next one gets. */
interface PutAside {
  readonly there: number
  readonly next: number
}

/** Has the database put pages beside the site that a plan for all of them is enough for. */
async function stageWhole<Ready>(
  { job, siteId, plan, watch }: Run<Ready>,
  ready: Ready,
  reached: readonly ReachedRecord[],
  first: number,
  transaction?: Transaction,
): Promise<PutAside & { readonly left: readonly ReachedRecord[] }> {
  const pages = reached.filter(({ kind, hash }) => kind === 'page' && hash !== null)
  const exchange = pages.length > 1 ? await plan.everywhere?.(ready, transaction) : undefined
  if (!exchange?.rows.length) return { left: reached, there: 0, next: first }
  const done = new Set<string>()
  const starts = Array.from({ length: Math.ceil(pages.length / AT_ONCE) }, (_, i) => i * AT_ONCE)
  // Whoever is free takes the next ones.
  const next = starts.values()
  const takeOn = async () => {
    for (const at of next) {
      if (watch.isCancelled()) throw new Cancelled()
      const batch = pages.slice(at, at + AT_ONCE)
      for (const id of await stageExchanged(job, siteId, first + at, batch, exchange)) done.add(id)
      watch.report((0.9 * done.size) / reached.length, 'planning')
    }
  }
  // Nothing goes on behind the back of whoever goes on from here.
  const ended = await Promise.allSettled(Array.from({ length: HANDS }, takeOn))
  for (const each of ended) if (each.status === 'rejected') throw each.reason
  const left = reached.filter(({ kind, id }) => kind !== 'page' || !done.has(id))
  return { left, there: done.size, next: first + pages.length }
}

/** Plans records some at a time and puts what they become beside the site. */
async function stageRecords<Ready>(
  run: Run<Ready>,
  ready: Ready,
  reached: readonly ReachedRecord[],
  first: number,
  transaction?: Transaction,
): Promise<PutAside> {
  const { job, siteId, watch } = run
  const { left, ...whole } = await stageWhole(run, ready, reached, first, transaction)
  const planFrom = (at: number) =>
    later(planRecords(run, ready, left.slice(at, at + AT_ONCE), transaction))
  let { there, next } = whole
  // While the database writes some, and reads the next, others are planned.
  let writing: Promise<unknown> = Promise.resolve()
  let planning = planFrom(0)
  try {
    for (let at = 0; at < left.length; at += AT_ONCE) {
      if (watch.isCancelled()) throw new Cancelled()
      const changed = await planning
      planning = planFrom(at + AT_ONCE)
      await writing
      writing = later(stage(job, siteId, next, changed))
      next += changed.length
      there += changed.length
      const planned = reached.length - left.length + Math.min(at + AT_ONCE, left.length)
      watch.report((0.9 * planned) / reached.length, 'planning')
    }
  } finally {
    // Nothing goes on behind the back of whoever goes on from here.
    await Promise.allSettled([planning, writing])
  }
  await writing
  if (reached.length > AT_ONCE) await surveyStaged()
  return { there, next }
}

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
  const aside = await stageRecords(run, ready.value, reached, 0, transaction)
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
  const { there, next } = await stageRecords(run, ready, fresh, thought.next, transaction)
  return done({ ...thought, revision, next, there: thought.there - gone + there })
}

/** Thinks until nothing changed meanwhile, or often enough: what is left is thought while the site is held. */
async function thinkThrough<Ready>(
  actor: Actor,
  run: Run<Ready>,
  base: number | 'any',
): Promise<Result<Thought<Ready>>> {
  let thought: Result<Thought<Ready>> | undefined
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const before: Thought<Ready> | undefined = thought?.ok ? thought.value : undefined
    thought = await atOneMoment(async (transaction) => {
      const found = await siteFor(actor, 'edit', run.siteId, transaction)
      if (!found.ok) return found
      const { revision } = found.value
      if (base !== 'any' && base !== revision) return refused({ code: 'stale', revision })
      return before
        ? rethink(run, before, revision, transaction)
        : think(run, revision, transaction)
    })
    if (!thought.ok || thought.value === before) return thought
  }
  return thought!
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
  base: number | 'any',
  plan: WidePlan<Ready>,
  watch: WorkWatch = unwatched,
): Promise<Result<Saved & { readonly changed: number }>> {
  const run: Run<Ready> = { job: randomUUID(), siteId, plan, watch }
  try {
    const thought = await thinkThrough(actor, run, base)
    if (!thought.ok) return thought
    return await write(actor, run, thought.value, base)
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

function write<Ready>(
  actor: Actor,
  run: Run<Ready>,
  thought: Thought<Ready>,
  base: number | 'any',
): Promise<Result<Saved & { readonly changed: number }>> {
  const { job, siteId, plan, watch } = run
  return changeAndTell(actor, siteId, base, thought.revision, async (site, transaction) => {
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
    const { counted: changed } = totals
    await watch.landed?.({ revision: site.revision, changed }, transaction)
    return done({ changed })
  })
}
