import { randomUUID } from 'node:crypto'
import type { Transaction } from 'sequelize'
import {
  done,
  refused,
  type JobKind,
  type JobResult,
  type JobState,
  type Problem,
  type Result,
  type Stepped,
} from '@/core/payloads'
import { siteFor, type Actor, type Deed } from '../access'
import { database } from '../database/connection'
import { select, tell } from '../database/sets'
import { isLargeStep, stepAtOnce, type StepKind } from '../edits'
import { announce, hearNews } from '../live/hear'
import { packedFile, publicationOf } from '../publishing'
import { enqueue } from './queue'
import { shapeOfToday } from './shape'

/** Work as it stands in the database. */
export interface JobRow {
  readonly id: string
  readonly site_id: string
  readonly actor_id: string
  readonly kind: JobKind
  readonly data: string
  readonly state: JobState['state']
  readonly progress: number
  readonly doing: string
  readonly problem: string | null
  readonly result: string | null
}

const deeds: Readonly<Record<JobKind, Deed>> = {
  wide: 'edit',
  step: 'edit',
  'take-back': 'edit',
  publish: 'publish',
  pack: 'read',
}

/** Puts a piece of work into the queue; its id. */
export async function beginJob(
  actor: Actor,
  siteId: string,
  kind: JobKind,
  data: unknown,
): Promise<Result<string>> {
  const found = await siteFor(actor, deeds[kind], siteId)
  if (!found.ok) return found
  const id = randomUUID()
  await database().transaction(async (transaction) => {
    await tell(
      `insert into jobs (id, site_id, actor_id, kind, data, shape, state)
       values ($1, $2, $3, $4, $5, $6, 'waiting')`,
      [id, siteId, actor.userId, kind, JSON.stringify(data), shapeOfToday],
      transaction,
    )
    await enqueue(id, transaction)
    await announce({ what: 'job', site: siteId, job: id }, transaction)
  })
  return done(id)
}

export async function jobRow(id: string, transaction?: Transaction): Promise<JobRow | undefined> {
  const [row] = await select<JobRow>('select * from jobs where id = $1', [id], transaction)
  return row
}

export const stateOfJob = ({
  id,
  kind,
  state,
  progress,
  doing,
  problem,
  result,
}: JobRow): JobState => ({
  id,
  kind,
  state,
  progress,
  doing,
  ...(problem ? { problem: JSON.parse(problem) as Problem } : {}),
  ...(result ? { result: JSON.parse(result) as JobResult } : {}),
})

/** How a piece of work stands; only who may read the site learns it. */
export async function jobState(
  actor: Actor,
  siteId: string,
  id: string,
): Promise<Result<JobState>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const row = await jobRow(id)
  return row?.site_id === siteId ? done(stateOfJob(row)) : refused({ code: 'not-found' })
}

const isOver = ({ state }: JobState) => state !== 'waiting' && state !== 'running'

/** How a piece of work stands once it is over, or after a while: most of it is over soon. */
export async function jobSoon(
  actor: Actor,
  siteId: string,
  id: string,
  patience: number,
): Promise<Result<JobState>> {
  let wake: () => void = () => undefined
  const stop = hearNews((news) => {
    if (news === 'missed' || (news.what === 'job' && news.job === id)) wake()
  })
  try {
    const end = Date.now() + patience
    for (;;) {
      const woken = new Promise<void>((resolve) => (wake = resolve))
      const state = await jobState(actor, siteId, id)
      const left = end - Date.now()
      if (!state.ok || isOver(state.value) || left <= 0) return state
      let timer: NodeJS.Timeout | undefined
      const late = new Promise<void>((resolve) => (timer = setTimeout(resolve, left)))
      await Promise.race([woken, late])
      clearTimeout(timer)
    }
  } finally {
    stop()
  }
}

/** Undo or redo: at once, or as work where many records are gone through. */
export async function stepOrJob(
  actor: Actor,
  siteId: string,
  base: number,
  kind: StepKind,
): Promise<Result<Stepped>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  if (!(await isLargeStep(siteId, kind))) return stepAtOnce(actor, siteId, base, kind)
  const job = await beginJob(actor, siteId, 'step', { base, kind })
  if (!job.ok) return job
  const state = await jobSoon(actor, siteId, job.value, SOON)
  return state.ok ? done({ job: state.value }) : state
}

/** Work that is waited for before it is only told how it stands, in milliseconds. */
const SOON = 800
/** How long whoever wants an archive waits for it, in milliseconds. */
const PACKING = 600_000

/** The published site as one archive, packed beside the server. */
export async function packedSite(actor: Actor, siteId: string): Promise<Result<Uint8Array>> {
  const published = await publicationOf(actor, siteId)
  if (!published.ok) return published
  if (!published.value) return refused({ code: 'not-published' })
  const job = await beginJob(actor, siteId, 'pack', null)
  if (!job.ok) return job
  const state = await jobSoon(actor, siteId, job.value, PACKING)
  if (!state.ok) return state
  const { problem, result } = state.value
  if (problem) return refused(problem)
  if (state.value.state !== 'done') return refused({ code: 'too-slow' })
  return packedFile(actor, siteId, result?.file ?? '')
}

/** Breaks work off: at once where it has not begun, else at the next place where nothing is half done. */
export async function cancelJob(actor: Actor, siteId: string, id: string): Promise<Result<null>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const rows = await select<{ id: string }>(
    `update jobs set cancelled = true,
       state = case when state = 'waiting' then 'cancelled' else state end,
       ended_at = case when state = 'waiting' then now() else ended_at end
     where id = $1 and site_id = $2 and state in ('waiting', 'running') returning id`,
    [id, siteId],
  )
  if (rows.length === 0) return refused({ code: 'not-found' })
  await announce({ what: 'job', site: siteId, job: id })
  return done(null)
}
