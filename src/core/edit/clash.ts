import { isSame, isStretch } from '../changes'
import { recordAt, type RecordChange, type RecordRef, type SiteDocs } from '../site'

/** A place in a record and the value that an edit put there. */
export interface Put extends RecordRef {
  readonly path: ReadonlyArray<string | number>
  readonly value: unknown
}

/** What stands at a place; undefined where the way leads nowhere. */
export function valueAt(docs: SiteDocs, { path, ...ref }: Omit<Put, 'value'>): unknown {
  return path.reduce<unknown>(
    (value, key) => (value as Record<string, unknown> | undefined)?.[key],
    recordAt(docs, ref),
  )
}

/**
 * The single values that changes put in place of others. Lists are left out:
 * what two people add to one goes together.
 */
export function putsOf(changes: readonly RecordChange[]): Put[] {
  return changes.flatMap(({ kind, id, changes: own }) =>
    own.flatMap((change): Put[] => {
      const { path } = change
      const isPut =
        path.length > 0 &&
        path.every((key) => typeof key === 'string') &&
        !isStretch(change) &&
        change.from !== undefined &&
        change.to !== undefined &&
        !Array.isArray(change.to)
      return isPut ? [{ kind, id, path, value: change.to }] : []
    }),
  )
}

/**
 * Whether something else stands now where an edit was made to put its values
 * than stood there when it was made: somebody has changed the same in between,
 * to a different value.
 */
export function isClash(before: SiteDocs, now: SiteDocs, puts: readonly Put[]): boolean {
  return puts.some((put) => {
    const there = valueAt(now, put)
    return !isSame(there, valueAt(before, put)) && !isSame(there, put.value)
  })
}
