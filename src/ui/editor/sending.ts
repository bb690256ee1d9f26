import type { StoreApi } from 'zustand/vanilla'
import type { Problem } from '@/core/payloads'
import { afterRefusal, pauseAfterStale, triesInDoubt } from './after-refusal'
import type { ClashWatch } from './clashes'
import type { PendingEdit, SiteClient } from './client'
import type { EditorState, LostEdit } from './state'
import { nextBatch, unsentStore } from './unsent'

/** Waits between tries while the server is away, in milliseconds; the last one stays. */
const RETRY = [1000, 2000, 4000, 8000]
/** Most edits that are sent at once. */
const MOST = 50

export const idsOf = (edits: readonly PendingEdit[]) => edits.map(({ clientId }) => clientId)

export const lostEdit = ({ told, edit }: PendingEdit, problem: Problem): LostEdit => ({
  told: told ?? edit.type,
  problem,
})

/** Adds to what is told of changes that could not be kept. */
export function tellLost(
  { getState, setState }: StoreApi<EditorState>,
  lost: readonly LostEdit[],
): void {
  if (lost.length) setState({ lost: [...getState().lost, ...lost] })
}

interface SendingNeeds {
  readonly store: StoreApi<EditorState>
  readonly client: SiteClient
  readonly watch: ClashWatch
  /** Loads the newest state and makes what is pending on top of it anew; false where it cannot be had. */
  readonly reload: () => Promise<boolean>
}

/** Sends what is pending in the background, in its order, until all of it is stored or told. */
export interface Sending {
  readonly setPending: (pending: readonly PendingEdit[]) => void
  /** What was kept beyond a reload of the window. */
  readonly left: () => readonly PendingEdit[] | 'broken'
  /** Ends when everything is stored, or when there is nothing to do but wait. */
  readonly flush: () => Promise<void>
  /** The documents here are those that are stored, with what is pending on top. */
  readonly caughtUp: () => void
}

export function createSending({ store, client, watch, reload }: SendingNeeds): Sending {
  const { getState, setState } = store
  const unsent = unsentStore(getState().siteId)
  let flushing: Promise<void> | undefined
  let retry: ReturnType<typeof setTimeout> | undefined
  /** How often in a row nothing but waiting was left, the base was old, the answer was in doubt. */
  let [waits, stales, doubts] = [0, 0, 0]
  /** Most edits in the next request: fewer while the one at fault is looked for. */
  let most: number = MOST
  /** Whether the documents here hold something that was set aside. */
  let behind = false

  function setPending(pending: readonly PendingEdit[]): void {
    setState({ pending })
    unsent.keep(pending)
  }

  function waitAndRetry(): void {
    setState({ saveState: 'waiting' })
    clearTimeout(retry)
    retry = setTimeout(() => void flush(), RETRY[Math.min(waits, RETRY.length - 1)])
    waits += 1
  }

  /** Takes edits back that the server will not have, and tells them; the rest goes on. */
  function setAside(edits: readonly PendingEdit[], problem: Problem): void {
    const gone = idsOf(edits)
    watch.drop(gone)
    tellLost(
      store,
      edits.map((each) => lostEdit(each, problem)),
    )
    setPending(getState().pending.filter(({ clientId }) => !gone.includes(clientId)))
    behind = true
  }

  /** Sends less at once until the edit at fault is alone, which is set aside. */
  function narrow(batch: readonly PendingEdit[], problem: Problem): void {
    if (batch.length > 1) most = Math.ceil(batch.length / 2)
    else setAside(batch, problem)
  }

  /** What follows a refusal; false where there is nothing to do but wait. */
  async function afterRefused(batch: readonly PendingEdit[], problem: Problem): Promise<boolean> {
    switch (afterRefusal[problem.code]) {
      case 'wait':
        return false
      case 'reload': {
        stales += 1
        const pause = pauseAfterStale(stales)
        if (pause > 0) await new Promise((resolve) => setTimeout(resolve, pause))
        return reload()
      }
      case 'doubt':
        doubts += 1
        if (doubts <= triesInDoubt) return false
        narrow(batch, problem)
        return true
      case 'split':
        narrow(batch, problem)
        return true
      case 'set-aside': {
        const named = problem.code === 'edit-refused' ? problem.clientId : undefined
        setAside(named ? batch.filter(({ clientId }) => clientId === named) : batch, problem)
        return true
      }
    }
  }

  async function sendOnce(): Promise<boolean> {
    const { pending, revision } = getState()
    const batch = nextBatch(pending, most)
    const sent = await client.save(revision, batch)
    if (!sent.ok) return afterRefused(batch, sent.problem)
    ;[waits, stales, doubts] = [0, 0, 0]
    most = Math.min(MOST, most * 2)
    const gone = new Set(idsOf(batch))
    setPending(getState().pending.filter(({ clientId }) => !gone.has(clientId)))
    setState({ ...sent.value, generation: getState().generation + 1 })
    return true
  }

  async function flushAll(): Promise<void> {
    while (getState().pending.length || behind) {
      setState({ saveState: 'saving' })
      // What was set aside is still to be seen here until the stored state is loaded anew.
      const done = behind ? await reload() : await sendOnce()
      if (!done) return waitAndRetry()
    }
    setState({ saveState: 'saved' })
  }

  function flush(): Promise<void> {
    flushing ??= flushAll().finally(() => {
      flushing = undefined
    })
    return flushing
  }

  return {
    setPending,
    left: unsent.read,
    flush,
    caughtUp: () => {
      behind = false
    },
  }
}
