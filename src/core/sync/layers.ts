import type { ChangesSince } from '../payloads'
import type { SiteDocs } from '../site'
import type { Absorbed } from './absorb'
import type { Clash, ClashWatch } from './clash-watch'
import type { OriginWatch } from './origin'
import { replay, type Laid } from './replay'
import type { LostEdit, SyncState } from './state'
import type { Held } from './store'
import type { PendingEdit } from './transport'

/** The stored state as this window knows it, and what lies on it that is not stored yet. */
export interface Layers {
  readonly stored: () => SiteDocs
  readonly laid: () => readonly Laid[]
  /** Puts an edit of ours on top. */
  readonly lay: (edit: Laid) => void
  /** Makes what waits anew on the stored state; what no longer fits is told. */
  readonly relay: (pending: readonly PendingEdit[]) => void
  /** Takes edits out of what waits; what lies on them is made anew. */
  readonly lift: (clientIds: readonly string[]) => void
  /** Puts another stored state below, and makes what waits anew on it. */
  readonly relayOn: (stored: SiteDocs) => void
  /** Takes in what landed: of ours just as it lay here nothing has to be made anew, over others' all that waits. */
  readonly settle: (landed: Pick<Absorbed, 'stored' | 'laid' | 'isForeign'>) => void
  /** The steps that can be taken from what is stored; what waits stands before them. */
  readonly stands: (ahead: StepsAhead) => void
  /** Looks again where the steps were made: work of this window may be known as that only after it landed. */
  readonly restand: () => void
  readonly tellClashes: (clashes: readonly Clash[]) => void
}

type Steps = Pick<SyncState, 'undo' | 'redo'>
type StepsAhead = Pick<ChangesSince, 'undo' | 'redo'>

/** What waits is what a step takes back first; nothing is to be done again over it. */
const stepsOver = ({ clientId, told, edit }: PendingEdit): Steps => ({
  undo: { id: clientId, told: told ?? edit.type, origin: 'here' },
  redo: undefined,
})

interface LayersNeeds {
  readonly held: Held<SyncState>
  readonly watch: ClashWatch
  readonly origins: OriginWatch
  readonly first: { readonly docs: SiteDocs; readonly ahead: StepsAhead }
  /** Keeps what waits where a reload of the window finds it. */
  readonly keep: (pending: readonly PendingEdit[]) => void
}

const unlaid = ({ clientId, edit, told }: Laid): PendingEdit => ({
  clientId,
  edit,
  ...(told === undefined ? {} : { told }),
})

export function createLayers({ held, watch, origins, first, keep }: LayersNeeds): Layers {
  const { getState, setState } = held
  let stored = first.docs
  let laid: readonly Laid[] = []
  let ahead: StepsAhead = first.ahead
  const steps = (): Steps => ({
    undo: origins.stepOf(ahead.undo),
    redo: origins.stepOf(ahead.redo),
  })

  function show(docs: SiteDocs): void {
    const pending = laid.map(unlaid)
    const last = pending.at(-1)
    setState({
      docs,
      pending,
      ...(last ? stepsOver(last) : steps()),
    })
    keep(pending)
  }

  function tellLost(lost: readonly LostEdit[]): void {
    if (lost.length) setState({ lost: [...getState().lost, ...lost] })
  }

  function tellClashes(clashes: readonly Clash[]): void {
    if (clashes.length) setState({ clashes: [...getState().clashes, ...clashes] })
  }

  function relay(pending: readonly PendingEdit[]): void {
    const made = replay(stored, pending, watch)
    laid = made.laid
    const kept = new Set(laid.map(({ clientId }) => clientId))
    watch.drop(pending.flatMap(({ clientId }) => (kept.has(clientId) ? [] : [clientId])))
    show(made.docs)
    tellLost(made.lost)
    tellClashes([...made.clashes, ...watch.changedSince(made.docs, [...kept])])
  }

  return {
    stored: () => stored,
    laid: () => laid,
    lay(edit) {
      laid = [...laid, edit]
      show(edit.after)
    },
    relay,
    lift(clientIds) {
      const gone = new Set(clientIds)
      const left = laid.filter(({ clientId }) => !gone.has(clientId))
      if (left.length < laid.length) relay(left)
    },
    relayOn(docs) {
      stored = docs
      relay(laid)
    },
    settle(landed) {
      const hasLanded = landed.laid.length < laid.length
      stored = landed.stored
      laid = landed.laid
      if (landed.isForeign) relay(laid)
      else if (hasLanded) show(laid.at(-1)?.after ?? stored)
    },
    stands(next) {
      ahead = next
      if (laid.length === 0) setState(steps())
    },
    restand() {
      if (laid.length === 0) setState(steps())
    },
    tellClashes,
  }
}
