import { refused, type JobResult, type JobState, type Result } from '../payloads'
import type { SyncState } from './state'
import type { Held } from './store'
import type { SiteTransport, Surroundings } from './transport'

interface FollowingNeeds {
  readonly held: Held<SyncState>
  readonly transport: Pick<SiteTransport, 'job'>
  /** Notes that a revision came of work of this window. */
  readonly landed: (revision: number) => void
  readonly after: Surroundings['after']
  readonly catchUp: (to: number) => Promise<boolean>
}

/** Waits before asking again where nobody answers, in milliseconds. */
const AGAIN = 1000

const isOver = ({ state }: JobState) => state !== 'waiting' && state !== 'running'

/** Follows long work that is done elsewhere, to its end and until what it led to is seen here. */
export function createFollowing({ held, transport, landed, after, catchUp }: FollowingNeeds) {
  const { getState, setState } = held
  /** Those who wait for the end of work, by its id. */
  const waiting = new Map<string, (job: JobState) => void>()

  /** Takes in how work stands. */
  function note(job: JobState): void {
    const others = getState().jobs.filter(({ id }) => id !== job.id)
    setState({ jobs: isOver(job) ? others : [...others, job] })
    if (isOver(job)) waiting.get(job.id)?.(job)
  }

  /** Asks how work stands for as long as somebody waits for it. */
  async function ask(first: JobState): Promise<void> {
    while (waiting.has(first.id)) {
      const asked = await transport.job(first.id)
      if (asked.ok) note(asked.value)
      else if (asked.problem.code === 'not-found') note({ ...first, state: 'cancelled' })
      else await new Promise<void>((resolve) => after(AGAIN, resolve))
    }
  }

  /** The end of work: by what is told, and by asking, whichever comes first. */
  async function untilOver(first: JobState): Promise<JobState> {
    if (isOver(first)) return first
    const told = new Promise<JobState>((resolve) => waiting.set(first.id, resolve))
    note(first)
    void ask(first)
    const last = await told
    waiting.delete(first.id)
    return last
  }

  /** What work came to, once it is to be seen here. */
  async function outcome(begun: Result<JobState>): Promise<Result<JobResult>> {
    if (!begun.ok) return begun
    const { state, problem, result = {} } = await untilOver(begun.value)
    if (problem) return refused(problem)
    if (state !== 'done') return refused({ code: 'cancelled' })
    if (result.revision !== undefined) landed(result.revision)
    const { revision = 0 } = result
    if (revision > getState().revision) await catchUp(revision)
    return { ok: true, value: result }
  }

  return { note, outcome }
}
