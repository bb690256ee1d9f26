import { isStretch, type Change, type Json, type MemberChange, type StretchChange } from './change'
import { isSame } from './same'

/** A change does not find what it says it finds: it was made for another state of the record. */
export class ChangeUnfit extends Error {}

type Whole = Json | undefined

function unfit(change: Change): never {
  throw new ChangeUnfit(`a change at ${change.path.join('.') || 'the record'} does not fit`)
}

function exchange(change: MemberChange, there: Whole): Whole {
  return isSame(there, change.from) ? change.to : unfit(change)
}

function exchangeStretch(change: StretchChange, there: Whole): Json {
  const { at, out, in: into } = change
  if (typeof there === 'string' && typeof out === 'string' && typeof into === 'string') {
    if (!there.startsWith(out, at)) unfit(change)
    return there.slice(0, at) + into + there.slice(at + out.length)
  }
  if (Array.isArray(there) && Array.isArray(out) && Array.isArray(into)) {
    const list = there as readonly Json[]
    if (!isSame(list.slice(at, at + out.length), out) || at > list.length) unfit(change)
    return list.toSpliced(at, out.length, ...(into as Json[]))
  }
  return unfit(change)
}

/** What a whole becomes when one change is made in it; what lies beside the change stays the same object. */
function changed(whole: Whole, change: Change, depth: number): Whole {
  if (depth === change.path.length) {
    return isStretch(change) ? exchangeStretch(change, whole) : exchange(change, whole)
  }
  const step = change.path[depth]!
  if (Array.isArray(whole) && typeof step === 'number') {
    const list = whole as readonly Json[]
    if (!(step in list)) return unfit(change)
    const next = changed(list[step], change, depth + 1)
    return next === undefined ? unfit(change) : list.with(step, next)
  }
  if (typeof whole !== 'object' || whole === null || Array.isArray(whole)) return unfit(change)
  const members = whole as Readonly<Record<string, Json | undefined>>
  const there = Object.hasOwn(members, step) ? members[step] : undefined
  const next = changed(there, change, depth + 1)
  if (next !== undefined) return { ...members, [step]: next }
  const { [step]: _gone, ...rest } = members
  return rest
}

/**
 * A record after changes, one after the other; undefined where it is gone, or
 * was not there. The record given is not changed. Throws `ChangeUnfit` where a
 * change finds anything else than it says.
 */
export function applyChanges<T>(record: T | undefined, changes: readonly Change[]): T | undefined {
  return changes.reduce<Whole>((whole, change) => changed(whole, change, 0), record as Whole) as
    T | undefined
}
