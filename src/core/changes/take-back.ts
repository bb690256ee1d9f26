import { diffChars, diffLines } from 'diff'
import { isStretch, type Change, type ChangePath, type Json, type StretchChange } from './change'
import { isSame } from './same'

/** What of some changes can be taken back after others came, as changes of the record as it is now; and what cannot, as it was done. */
export interface TakenBack {
  readonly changes: readonly Change[]
  readonly touched: readonly Change[]
}

const valueAt = (record: unknown, path: ChangePath): Json | undefined =>
  path.reduce<unknown>(
    (value, step) =>
      typeof value === 'object' && value !== null && Object.hasOwn(value, step)
        ? (value as Record<string | number, unknown>)[step]
        : undefined,
    record,
  ) as Json | undefined

/** A stretch that some changes left in a text, from where to where it lies after all of them. */
interface Left {
  readonly change: StretchChange
  from: number
  to: number
  /** Whether a later one of the same changes reached into it. */
  isOverlaid: boolean
}

/** Where stretches lie once all of them are exchanged, one after the other. */
function whereTheyLie(stretches: readonly StretchChange[]): Left[] {
  const left: Left[] = []
  for (const change of stretches) {
    const { at, out } = change
    const end = at + out.length
    const shift = change.in.length - out.length
    for (const each of left) {
      if (each.from >= end) {
        each.from += shift
        each.to += shift
      } else if (each.to > at) each.isOverlaid = true
    }
    left.push({ change, from: at, to: at + change.in.length, isOverlaid: false })
  }
  return left
}

/** Texts longer than this are compared line by line: letter by letter would take too long. */
const LONG = 4000

/** A part that two texts have in common. */
interface Common {
  readonly from: number
  readonly to: number
  readonly shift: number
}

/** The parts that two texts have in common, in order. */
export function commonParts(a: string, b: string): Common[] {
  const most = Math.min(a.length, b.length)
  let start = 0
  while (start < most && a[start] === b[start]) start += 1
  let end = 0
  while (end < most - start && a[a.length - 1 - end] === b[b.length - 1 - end]) end += 1
  const parts: Common[] = start ? [{ from: 0, to: start, shift: 0 }] : []
  const [inA, inB] = [a.slice(start, a.length - end), b.slice(start, b.length - end)]
  const isLong = Math.max(inA.length, inB.length) > LONG
  const pieces = inA && inB ? (isLong ? diffLines(inA, inB) : diffChars(inA, inB)) : []
  let [at, other] = [start, start]
  for (const { value, added, removed } of pieces) {
    if (!added && !removed) {
      parts.push({ from: at, to: at + value.length, shift: other - at })
    }
    if (!added) at += value.length
    if (!removed) other += value.length
  }
  if (end) parts.push({ from: a.length - end, to: a.length, shift: b.length - a.length })
  return parts
}

/** Takes stretches of one text back where what they left still stands. */
function stretchesBack(
  stretches: readonly StretchChange[],
  after: string,
  now: string,
  path: ChangePath,
): TakenBack {
  const parts = commonParts(after, now)
  const changes: StretchChange[] = []
  const touched: Change[] = []
  for (const { change, from, to, isOverlaid } of whereTheyLie(stretches)) {
    const part = parts.find((each) => each.from <= from && to <= each.to)
    if (!part || isOverlaid) touched.push(change)
    else changes.push({ path, at: from + part.shift, out: change.in, in: change.out })
  }
  // From the last to the first, so that each stands where it was found.
  changes.sort((a, b) => b.at - a.at)
  return { changes, touched }
}

/**
 * Changes that lead back from what some changes did, in a record that went on since. `after` is the
 * record as they left it, `now` as it is. What somebody changed since stays as it is and is told.
 */
export function takenBack(changes: readonly Change[], after: unknown, now: unknown): TakenBack {
  const back: Change[] = []
  const touched: Change[] = []
  const byText = new Map<string, StretchChange[]>()
  for (const change of [...changes].reverse()) {
    if (isStretch(change)) {
      const key = JSON.stringify(change.path)
      byText.set(key, [change, ...(byText.get(key) ?? [])])
      continue
    }
    const { path, from, to } = change
    if (!isSame(valueAt(now, path), to)) touched.push(change)
    else {
      back.push({
        path,
        ...(to === undefined ? {} : { from: to }),
        ...(from === undefined ? {} : { to: from }),
      })
    }
  }
  for (const stretches of byText.values()) {
    const { path } = stretches[0]!
    const [then, text] = [valueAt(after, path), valueAt(now, path)]
    if (typeof then === 'string' && typeof text === 'string') {
      const own = stretchesBack(stretches, then, text, path)
      back.push(...own.changes)
      touched.push(...own.touched)
    } else if (isSame(then, text)) {
      back.push(
        ...[...stretches]
          .reverse()
          .map(({ in: left, out, ...rest }) => ({ ...rest, out: left, in: out })),
      )
    } else touched.push(...stretches)
  }
  return { changes: back, touched }
}
