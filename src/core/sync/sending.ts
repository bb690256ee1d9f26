import type { Problem } from '../payloads'
import { afterRefusal, pauseAfterStale, triesInDoubt } from './after-refusal'
import { nextBatch } from './batch'
import type { ClashWatch } from './clash-watch'
import { lostEdit } from './replay'
import type { Layers } from './layers'
import type { Standing } from './standing'
import type { SyncState } from './state'
import type { Held } from './store'
import type { PendingEdit, SiteTransport, Surroundings } from './transport'

/** Waits between tries while the server is away, in milliseconds; the last one stays. */
const RETRY = [1000, 2000, 4000, 8000]
/** Most edits that are sent at once. */
const MOST = 50

const idsOf = (edits: readonly PendingEdit[]) => edits.map(({ clientId }) => clientId)

interface SendingNeeds {
  readonly held: Held<SyncState>
  readonly transport: SiteTransport
  readonly watch: ClashWatch
  readonly standing: Standing
  readonly layers: Layers
  readonly after: Surroundings['after']
}

/** Sends what waits in the background, in its order, until all of it is stored or told. Ends when there is nothing to do but wait. */
export function createSending({ held, transport, watch, standing, layers, after }: SendingNeeds) {
  const { getState, setState } = held
  let flushing: Promise<void> | undefined
  let stopRetry: () => void = () => undefined
  /** How often in a row nothing but waiting was left, the base was old, the answer was in doubt. */
  let [waits, stales, doubts] = [0, 0, 0]
  /** Most edits in the next request: fewer while the one at fault is looked for. */
  let most: number = MOST

  function waitAndRetry(): void {
    setState({ saveState: 'waiting' })
    stopRetry()
    stopRetry = after(RETRY[Math.min(waits, RETRY.length - 1)]!, () => void flush())
    waits += 1
  }

  /** Takes edits back that the server will not have, and tells them; the rest goes on, on what led to that. */
  async function setAside(edits: readonly PendingEdit[], problem: Problem): Promise<boolean> {
    const lost = edits.map((each) => lostEdit(each, problem))
    setState({ lost: [...getState().lost, ...lost] })
    watch.drop(idsOf(edits))
    layers.lift(idsOf(edits))
    await standing.catchUp()
    return true
  }

  /** Sends less at once until the edit at fault is alone, which is set aside. */
  async function narrow(batch: readonly PendingEdit[], problem: Problem): Promise<boolean> {
    if (batch.length === 1) return setAside(batch, problem)
    most = Math.ceil(batch.length / 2)
    return true
  }

  async function reload(): Promise<boolean> {
    stales += 1
    const pause = pauseAfterStale(stales)
    if (pause > 0) await new Promise<void>((resolve) => after(pause, resolve))
    return standing.catchUp()
  }

  /** What follows a refusal; false where there is nothing to do but wait. */
  async function afterRefused(batch: readonly PendingEdit[], problem: Problem): Promise<boolean> {
    switch (afterRefusal[problem.code]) {
      case 'wait':
        return false
      case 'reload':
        return reload()
      case 'doubt':
        doubts += 1
        if (doubts <= triesInDoubt) return false
        return narrow(batch, problem)
      case 'split':
        return narrow(batch, problem)
      case 'set-aside': {
        const named = problem.code === 'edit-refused' ? problem.clientId : undefined
        const own = batch.filter(({ clientId }) => !named || clientId === named)
        return setAside(own.length ? own : batch, problem)
      }
    }
  }

  async function sendOnce(): Promise<boolean> {
    const { pending, revision } = getState()
    const batch = nextBatch(pending, most)
    const sent = await transport.save(revision, batch)
    if (!sent.ok) return afterRefused(batch, sent.problem)
    ;[waits, stales, doubts] = [0, 0, 0]
    most = Math.min(MOST, most * 2)
    // Where the rest cannot be had just now, what was stored is sent again, and passed over.
    const isHere = await standing.follow(sent.value)
    if (isHere) layers.lift(idsOf(batch))
    return isHere
  }

  async function flushAll(): Promise<void> {
    while (getState().pending.length) {
      setState({ saveState: 'saving' })
      if (!(await sendOnce())) return waitAndRetry()
    }
    setState({ saveState: 'saved' })
  }

  function flush(): Promise<void> {
    flushing ??= flushAll().finally(() => {
      flushing = undefined
    })
    return flushing
  }

  return { flush, stop: () => stopRetry() }
}
