import type { Change, ChangePath, Json } from './change'
import { isSame } from './same'

type Members = Readonly<Record<string, Json | undefined>>

const isMembers = (value: unknown): value is Members =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Texts shorter than this are exchanged whole: saying where they differ would take more. */
const WORTH_PARTING = 60

const isHalf = (text: string, at: number) => /[\udc00-\udfff]/.test(text.charAt(at))

/** How much two texts have in common at their ends; no pair of surrogates is cut. */
function commonText(a: string, b: string): readonly [start: number, end: number] {
  const most = Math.min(a.length, b.length)
  let start = 0
  while (start < most && a.charCodeAt(start) === b.charCodeAt(start)) start += 1
  if (isHalf(a, start) || isHalf(b, start)) start -= 1
  let end = 0
  while (
    end < most - start &&
    a.charCodeAt(a.length - 1 - end) === b.charCodeAt(b.length - 1 - end)
  ) {
    end += 1
  }
  if (end > 0 && isHalf(a, a.length - end)) end -= 1
  return [start, end]
}

function commonItems(
  a: readonly Json[],
  b: readonly Json[],
): readonly [start: number, end: number] {
  const most = Math.min(a.length, b.length)
  let start = 0
  while (start < most && isSame(a[start], b[start])) start += 1
  let end = 0
  while (end < most - start && isSame(a[a.length - 1 - end], b[b.length - 1 - end])) end += 1
  return [start, end]
}

/** The stretch in which two texts or two lists differ. */
function stretch<Whole extends string | readonly Json[]>(
  path: ChangePath,
  [start, end]: readonly [number, number],
  a: Whole,
  b: Whole,
): Change {
  const out = a.slice(start, a.length - end) as Whole
  return { path, at: start, out, in: b.slice(start, b.length - end) as Whole }
}

/** Whether a value is one thing: exchanged as a whole, never in part. */
type IsOne = (value: Members, path: ChangePath) => boolean

interface Comparison {
  readonly into: Change[]
  readonly isOne: IsOne
}

function compare(
  path: ChangePath,
  a: Json | undefined,
  b: Json | undefined,
  how: Comparison,
): void {
  if (a === b) return
  const { into, isOne } = how
  if (isMembers(a) && isMembers(b)) {
    if (!isOne(a, path) && !isOne(b, path)) return compareMembers(path, a, b, how)
    if (isSame(a, b)) return
  }
  if (Array.isArray(a) && Array.isArray(b)) {
    const [from, to] = [a as readonly Json[], b as readonly Json[]]
    if (from.length === to.length) {
      from.forEach((item, i) => compare([...path, i], item, to[i], how))
    } else into.push(stretch(path, commonItems(from, to), from, to))
    return
  }
  if (typeof a === 'string' && typeof b === 'string' && a.length + b.length > WORTH_PARTING) {
    into.push(stretch(path, commonText(a, b), a, b))
    return
  }
  into.push({
    path,
    ...(a === undefined ? {} : { from: a }),
    ...(b === undefined ? {} : { to: b }),
  })
}

function compareMembers(path: ChangePath, a: Members, b: Members, how: Comparison): void {
  for (const key of Object.keys(a)) {
    compare([...path, key], a[key], Object.hasOwn(b, key) ? b[key] : undefined, how)
  }
  for (const key of Object.keys(b)) {
    if (!Object.hasOwn(a, key)) compare([...path, key], undefined, b[key], how)
  }
}

/**
 * The changes that lead from one state of a record to another; none where both
 * say the same. Undefined stands for a record that is not there. What both
 * states share as one object is not looked into, so that comparing two states
 * costs what was changed and not what there is. What `isOne` says yes to is
 * exchanged as a whole.
 */
export function changesBetween(
  before: unknown,
  after: unknown,
  isOne: IsOne = () => false,
): Change[] {
  const changes: Change[] = []
  compare([], before as Json | undefined, after as Json | undefined, { into: changes, isOne })
  return changes
}
