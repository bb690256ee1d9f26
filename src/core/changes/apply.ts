import {
  isStretch,
  type Change,
  type ChangePath,
  type Json,
  type MemberChange,
  type StretchChange,
} from './change'
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

/**
 * Stretches of one text, one after the other and each further on: `at` counts in
 * the text as it has become up to there. One pass, however many there are.
 */
function exchangeOnwards(changes: readonly TextChange[], text: string): string {
  const parts: string[] = []
  let [read, written] = [0, 0]
  for (const change of changes) {
    const { at, out, in: into } = change
    const between = at - written
    if (between < 0 || !text.startsWith(out, read + between)) unfit(change)
    parts.push(text.slice(read, read + between), into)
    read += between + out.length
    written = at + into.length
  }
  parts.push(text.slice(read))
  return parts.join('')
}

/** The same from the end to the beginning: `at` counts in the text as it was. */
function exchangeBackwards(changes: readonly TextChange[], text: string): string {
  const parts: string[] = []
  let read = 0
  for (const change of [...changes].reverse()) {
    const { at, out, in: into } = change
    if (at < read || !text.startsWith(out, at)) unfit(change)
    parts.push(text.slice(read, at), into)
    read = at + out.length
  }
  parts.push(text.slice(read))
  return parts.join('')
}

interface TextChange extends StretchChange {
  readonly out: string
  readonly in: string
}

const isOfText = (change: Change | undefined): change is TextChange =>
  change !== undefined && isStretch(change) && typeof change.out === 'string'

/** A change, or several stretches of one text that follow one another in one direction. */
interface Step {
  readonly path: ChangePath
  readonly change: Change
  readonly run?: readonly TextChange[]
}

/** Changes one by one, but for those that can be made in one pass. */
function stepsOf(changes: readonly Change[]): Step[] {
  const steps: Step[] = []
  for (let at = 0; at < changes.length;) {
    const first = changes[at]!
    const run: TextChange[] = isOfText(first) ? [first] : []
    for (let next = changes[at + run.length]; run.length && isOfText(next);) {
      const last = run.at(-1)!
      const isOn = run.length === 1 || next.at > last.at === run[1]!.at > run[0]!.at
      if (!isOn || next.at === last.at || !isSame(next.path, first.path)) break
      run.push(next)
      next = changes[at + run.length]
    }
    steps.push({ path: first.path, change: first, ...(run.length > 1 ? { run } : {}) })
    at += Math.max(1, run.length)
  }
  return steps
}

/** What stands at the end of a step's way, after it. */
function atEnd({ change, run }: Step, there: Whole): Whole {
  if (!run) return isStretch(change) ? exchangeStretch(change, there) : exchange(change, there)
  if (typeof there !== 'string') return unfit(change)
  const isOnwards = run[1]!.at > run[0]!.at
  return isOnwards ? exchangeOnwards(run, there) : exchangeBackwards(run, there)
}

type Members = Record<string, Json | undefined>

/**
 * Makes steps in a record, one after the other. The record given is not changed:
 * what a step goes through is copied once, and further steps go on in the copy.
 */
class Rewrite {
  private readonly own = new Set<object>()

  private copyOf(members: Readonly<Members>): Members {
    if (this.own.has(members)) return members as Members
    const copy = { ...members }
    this.own.add(copy)
    return copy
  }

  private inMembers(members: Readonly<Members>, step: string, next: Whole): Whole {
    if (step === '__proto__' || next === undefined) {
      const { [step]: _gone, ...rest } = members
      return next === undefined ? rest : { ...rest, [step]: next }
    }
    const copy = this.copyOf(members)
    copy[step] = next
    return copy
  }

  /** What a whole becomes when one step is made in it; what lies beside it stays the same object. */
  make(whole: Whole, made: Step, depth = 0): Whole {
    const { change } = made
    if (depth === change.path.length) return atEnd(made, whole)
    const step = change.path[depth]!
    if (Array.isArray(whole) && typeof step === 'number') {
      const list = whole as readonly Json[]
      if (!(step in list)) return unfit(change)
      const next = this.make(list[step], made, depth + 1)
      return next === undefined ? unfit(change) : list.with(step, next)
    }
    if (typeof whole !== 'object' || whole === null || Array.isArray(whole)) return unfit(change)
    const members = whole as Readonly<Members>
    const there = Object.hasOwn(members, step) ? members[step] : undefined
    return this.inMembers(members, String(step), this.make(there, made, depth + 1))
  }
}

/**
 * A record after changes, one after the other; undefined where it is gone, or
 * was not there. The record given is not changed. Throws `ChangeUnfit` where a
 * change finds anything else than it says.
 */
export function applyChanges<T>(record: T | undefined, changes: readonly Change[]): T | undefined {
  const rewrite = new Rewrite()
  return stepsOf(changes).reduce<Whole>(
    (whole, step) => rewrite.make(whole, step),
    record as Whole,
  ) as T | undefined
}
