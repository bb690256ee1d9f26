import type { Transaction } from 'sequelize'
import type { JobKind, JobResult, Result, TakeBackRequest } from '@/core/payloads'
import { wideIntent } from '@/core/wide'
import { isUnreadable } from '@/core/site'
import type { Actor } from '../access'
import { select, tell } from '../database/sets'
import { carryOutWide, step, takeBack, type StepKind, type WorkWatch } from '../edits'
import { announce } from '../live/hear'
import { pack, publish } from '../publishing'
import { StorageFailed } from '../storage'
import { jobRow, type JobRow } from './jobs'
import { shapeOfToday } from './shape'

/** One piece of work: what it does with the data it was given. */
type Work = (
  actor: Actor,
  site: string,
  data: never,
  watch: WorkWatch,
) => Promise<Result<JobResult>>

const works: Readonly<Record<JobKind, Work>> = {
  async wide(
    actor,
    site,
    data: { readonly base: number | 'any'; readonly intent: unknown },
    watch,
  ) {
    const result = await carryOutWide(actor, site, data.base, wideIntent.parse(data.intent), watch)
    if (!result.ok) return result
    const { revision, changed } = result.value
    return { ok: true, value: { revision, changed } }
  },
  async step(actor, site, data: { readonly base: number; readonly kind: StepKind }, watch) {
    const result = await step(actor, site, data.base, data.kind, watch)
    return result.ok ? { ok: true, value: { revision: result.value.revision } } : result
  },
  async 'take-back'(actor, site, data: TakeBackRequest, watch) {
    const result = await takeBack(actor, site, data.base, data, watch)
    if (!result.ok) return result
    const { revision, changed } = result.value
    return { ok: true, value: { revision, changed } }
  },
  async publish(actor, site, _data, watch) {
    const result = await publish(actor, site, watch)
    return result.ok ? { ok: true, value: { written: result.value.written } } : result
  },
  async pack(actor, site, _data, watch) {
    const result = await pack(actor, site, watch)
    return result.ok ? { ok: true, value: { file: result.value } } : result
  },
}

/** Progress is told no more often than this, in milliseconds. */
const EVERY = 150

/** Follows one job: what it tells goes to the database, what was wished of it comes from there. */
function watchOf({ id, site_id: site }: JobRow) {
  let cancelled = false
  let last = 0
  let telling: Promise<void> = Promise.resolve()
  const watch: WorkWatch = {
    isCancelled: () => cancelled,
    report(progress, doing) {
      if (Date.now() - last < EVERY) return
      last = Date.now()
      telling = telling.then(async () => {
        const [row] = await select<{ cancelled: boolean }>(
          `update jobs set progress = $2, doing = $3 where id = $1 and state = 'running'
           returning cancelled`,
          [id, progress, doing],
        )
        cancelled = row?.cancelled ?? cancelled
        await announce({ what: 'job', site, job: id })
      })
    },
    // In the transaction that makes the work final: a job is over exactly if its work is stored.
    landed: (result, transaction) => endJob(id, site, { ok: true, value: result }, transaction),
  }
  return { watch, settled: () => telling }
}

async function endJob(
  id: string,
  site: string,
  result: Result<JobResult>,
  transaction?: Transaction,
): Promise<void> {
  const state = result.ok ? 'done' : result.problem.code === 'cancelled' ? 'cancelled' : 'refused'
  await tell(
    `update jobs set state = $2, progress = 1, doing = '', ended_at = now(),
       result = $3, problem = $4 where id = $1 and state in ('waiting', 'running')`,
    [
      id,
      state,
      result.ok ? JSON.stringify(result.value) : null,
      result.ok ? null : JSON.stringify(result.problem),
    ],
    transaction,
  )
  await announce({ what: 'job', site, job: id }, transaction)
}

/** What went wrong with a piece of work, where it can be told; else it is thrown, and the work tried again. */
function failureOf(error: unknown): Result<JobResult> {
  if (error instanceof StorageFailed) {
    return { ok: false, problem: { code: 'storage', why: error.why } }
  }
  if (isUnreadable(error)) return { ok: false, problem: { code: 'unreadable' } }
  throw error
}

/** Does one job, if it is still to be done, and in today's shape. */
export async function workOn(id: string): Promise<void> {
  const [row] = await select<JobRow>(
    `update jobs set state = 'running'
     where id = $1 and state in ('waiting', 'running') and shape = $2 returning *`,
    [id, shapeOfToday],
  )
  if (!row) return
  const { watch, settled } = watchOf(row)
  const work = works[row.kind]
  const actor = { userId: row.actor_id }
  let result: Result<JobResult>
  try {
    result = await work(actor, row.site_id, JSON.parse(row.data) as never, watch)
  } catch (error) {
    result = failureOf(error)
  } finally {
    await settled().catch(() => undefined)
  }
  await endJob(id, row.site_id, result)
}

/** Gives up work that could not be ended, however often it was begun. */
export async function giveUp(id: string): Promise<void> {
  const row = await jobRow(id)
  if (row) await endJob(id, row.site_id, { ok: false, problem: { code: 'unexpected' } })
}
