import { isSame } from '../changes'
import type { Landed } from '../payloads'
import { applyRecordChanges, recordAt, recordKey, type RecordChange, type SiteDocs } from '../site'
import type { Laid } from './replay'

/** What became of the stored state when edits landed on it. */
export interface Absorbed {
  readonly stored: SiteDocs
  readonly revision: number
  /** What is still not known to be stored. */
  readonly laid: readonly Laid[]
  /** Whether somebody else, or an undo, changed a record at hand; else only our own edits landed, as they lay here. */
  readonly isForeign: boolean
  /** Edits of ours that landed behind somebody else's, each with the state that it landed on. */
  readonly behind: ReadonlyArray<{ readonly clientId: string; readonly on: SiteDocs }>
  /** Whether pages changed that are not at hand. */
  readonly changedOthers: boolean
  /** Whether any page changed. */
  readonly changedPages: boolean
}

/** Whether an entry says all about the records at hand. */
function isComplete(docs: SiteDocs, { others }: Landed): boolean {
  if (others === 'many') return Object.keys(docs.pages).length === 0
  return !others.some((key) => {
    const [kind, ...id] = key.split('/')
    return recordAt(docs, { kind: kind as 'page', id: id.join('/') }) !== undefined
  })
}

const comes = ({ changes: [first] }: RecordChange) =>
  !!first && first.path.length === 0 && !('at' in first) && first.from === undefined

const goes = ({ changes: [first] }: RecordChange) =>
  !!first && first.path.length === 0 && !('at' in first) && first.to === undefined

/**
 * Of changed records, those that are at hand. What comes new is taken in, but for
 * pages of others, which nobody looks at yet; a page of ours that was too long to
 * be told is as it was made here.
 */
function atHand(docs: SiteDocs, { records, others }: Landed, own?: Laid): RecordChange[] {
  const told = records.filter(
    (ref) => recordAt(docs, ref) !== undefined || ((own || ref.kind !== 'page') && comes(ref)),
  )
  const isNamed = (ref: RecordChange) => others === 'many' || others.includes(recordKey(ref))
  const made = own?.changes.filter((ref) => comes(ref) && isNamed(ref)) ?? []
  return [...told, ...made]
}

/** Whether there are more or fewer pages after an entry. */
const countsPages = ({ records }: Landed) =>
  records.some((ref) => ref.kind === 'page' && (comes(ref) || goes(ref)))

/**
 * Lays edits that landed on a stored state, in their order. Undefined where they
 * do not follow it, do not fit, or do not say all about the records at hand: then
 * what is missing has to be asked for.
 */
export function absorb(
  start: SiteDocs,
  revision: number,
  laid: readonly Laid[],
  entries: readonly Landed[],
): Absorbed | undefined {
  let stored = start
  let known = revision
  let left = laid
  let isForeign = false
  const behind: Array<{ clientId: string; on: SiteDocs }> = []
  let changedOthers = false
  let changedPages = false
  for (const entry of entries) {
    if (entry.revision <= known) continue
    if (entry.revision !== known + 1 || !isComplete(stored, entry)) return undefined
    known = entry.revision
    const own = left.find(({ clientId }) => clientId === entry.clientId)
    const changes = atHand(stored, entry, own)
    changedPages ||= entry.others.length > 0 || entry.records.some(({ kind }) => kind === 'page')
    const isAllHere = changes.length >= entry.records.length && entry.others.length === 0
    changedOthers ||= !isAllHere || countsPages(entry)
    const [next] = left
    // Our own edit, first of those that wait, just as it was made here: that state is kept as it is.
    if (next && next === own && !isForeign && isSame(next.changes, changes)) {
      stored = next.after
      left = left.slice(1)
      continue
    }
    if (own) behind.push({ clientId: own.clientId, on: stored })
    left = left.filter((each) => each !== own)
    isForeign = true
    try {
      stored = applyRecordChanges(stored, changes)
    } catch {
      return undefined
    }
  }
  return { stored, revision: known, laid: left, isForeign, behind, changedOthers, changedPages }
}
