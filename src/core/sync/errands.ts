import { refused, type JobResult, type Problem, type Result } from '../payloads'
import type { WideIntent } from '../wide'
import type { ClashWatch } from './clash-watch'
import { createFollowing } from './following'
import type { Layers } from './layers'
import type { OriginWatch } from './origin'
import type { Standing } from './standing'
import type { SyncState } from './state'
import type { Held } from './store'
import type { SiteTransport, Surroundings } from './transport'

interface ErrandsNeeds {
  readonly held: Held<SyncState>
  readonly transport: SiteTransport
  readonly watch: ClashWatch
  readonly origins: OriginWatch
  readonly layers: Layers
  readonly standing: Standing
  readonly after: Surroundings['after']
  readonly flush: () => Promise<void>
}

/** What the server does for this window: it needs every edit of ours stored first, and may take its time. */
export function createErrands(needs: ErrandsNeeds) {
  const { held, transport, watch, origins, standing, after, flush } = needs
  const { getState } = held
  const { note, outcome } = createFollowing({
    held,
    transport,
    landed(revision) {
      origins.landed(revision)
      needs.layers.restand()
    },
    after,
    catchUp: standing.catchUp,
  })

  /** One after the other: each needs the revision that the one before it left. */
  let inTurn: Promise<unknown> = Promise.resolve()
  function onServer<T>(work: (base: number) => Promise<Result<T>>): Promise<Result<T>> {
    const turn = inTurn.then(async () => {
      await flush()
      if (getState().pending.length) return refused({ code: 'database-away' })
      const result = await work(getState().revision)
      if (!result.ok && result.problem.code === 'stale') await standing.catchUp()
      return result
    })
    inTurn = turn.catch(() => undefined)
    return turn
  }

  /** The same for what changes the site: it is counted until it is stored and seen here. */
  async function change<T>(work: (base: number) => Promise<Result<T>>): Promise<Result<T>> {
    const count = (by: number) => held.setState({ remoteChanges: getState().remoteChanges + by })
    count(1)
    try {
      return await onServer(work)
    } finally {
      count(-1)
    }
  }

  async function step(kind: 'undo' | 'redo'): Promise<Problem | undefined> {
    const result = await change<unknown>(async (base) => {
      const stepped = await transport.step(kind, base)
      if (!stepped.ok) return stepped
      // What we put no longer counts as ours where we took it back ourselves.
      watch.forget()
      if ('job' in stepped.value) return outcome({ ok: true, value: stepped.value.job })
      await standing.follow(stepped.value)
      return stepped
    })
    return result.ok ? undefined : result.problem
  }

  const wide = (intent: WideIntent): Promise<Result<JobResult>> =>
    change(async () => {
      watch.forget()
      return outcome(await transport.wide('any', intent))
    })

  const takeBack = (revision: number, leaves: boolean): Promise<Result<JobResult>> =>
    change(async () => {
      watch.forget()
      return outcome(await transport.takeBack(revision, leaves))
    })

  const publish = (): Promise<Result<JobResult>> =>
    onServer(async () => outcome(await transport.publish()))

  /** Breaks long work off. */
  async function cancel(job: string): Promise<Problem | undefined> {
    const result = await transport.cancel(job)
    return result.ok ? undefined : result.problem
  }

  return { note, onServer, step, wide, takeBack, publish, cancel }
}
