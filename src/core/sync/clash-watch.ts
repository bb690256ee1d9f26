import { isSame } from '../changes'
import { isClash, putsOf, valueAt, type Put } from '../edit'
import { recordAt, type RecordChange, type SiteDocs } from '../site'

/** A change of ours where somebody else has changed the same: whose stands. */
export interface Clash {
  readonly told: string
  readonly stands: 'ours' | 'theirs'
}

interface Made {
  readonly clientId: string
  readonly told: string
  readonly before: SiteDocs
  readonly puts: readonly Put[]
}

export interface ClashWatch {
  /** Remembers an edit of ours: what it put where, and the documents it was made on. */
  readonly remember: (
    clientId: string,
    told: string,
    before: SiteDocs,
    changes: readonly RecordChange[],
  ) => void
  /** What replaying an edit of ours puts over a change of somebody else's. */
  readonly replayed: (clientId: string, now: SiteDocs) => Clash[]
  /** Those of our stored edits whose values somebody else has changed since; each is told once. */
  readonly changedSince: (now: SiteDocs, pending: readonly string[]) => Clash[]
  /** Edits of ours that were not kept: they put nothing anywhere. */
  readonly drop: (clientIds: readonly string[]) => void
  /** After an undo or anything else that the server did for us: what we put no longer counts. */
  readonly forget: () => void
}

/** Edits of ours that are remembered. */
const MANY = 200

/** A record that is not loaded has not changed as far as anybody here knows. */
const isAtHand = (docs: SiteDocs, put: Put) => recordAt(docs, put) !== undefined

const placeOf = ({ kind, id, path }: Put) => [kind, id, ...path].join('/')

/** Knows what we changed, so that a change of somebody else's in the same place can be told. */
export function createClashWatch(): ClashWatch {
  let made: Made[] = []
  return {
    remember(clientId, told, before, changes) {
      const puts = putsOf(changes)
      const places = new Set(puts.map(placeOf))
      // What we changed again ourselves counts as we left it.
      const earlier = made.map((each) => ({
        ...each,
        puts: each.puts.filter((put) => !places.has(placeOf(put))),
      }))
      made = [...earlier, { clientId, told, before, puts }].slice(-MANY)
    },
    replayed(clientId, now) {
      const own = made.find((each) => each.clientId === clientId)
      if (!own) return []
      // From here on it counts as made on what it was replayed on, so that it is told once.
      made = made.map((each) => (each === own ? { ...own, before: now } : each))
      return isClash(own.before, now, own.puts) ? [{ told: own.told, stands: 'ours' }] : []
    },
    changedSince(now, pending) {
      const isOther = (put: Put) => isAtHand(now, put) && !isSame(valueAt(now, put), put.value)
      const gone = made.filter(
        ({ clientId, puts }) => !pending.includes(clientId) && puts.some(isOther),
      )
      made = made.filter((each) => !gone.includes(each))
      return gone.map(({ told }) => ({ told, stands: 'theirs' }))
    },
    drop(clientIds) {
      made = made.filter(({ clientId }) => !clientIds.includes(clientId))
    },
    forget() {
      made = []
    },
  }
}
