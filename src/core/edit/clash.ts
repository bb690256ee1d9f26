import { canonicalJson, type SiteDocs } from '../site'
import type { DocPatch } from './apply'

type Path = DocPatch['path']

/** A place in the documents and the value that an edit put there. */
export interface Put {
  readonly path: Path
  readonly value: unknown
}

/** What stands at a path; undefined where the path leads nowhere. */
export function valueAt(docs: SiteDocs, path: Path): unknown {
  return path.reduce<unknown>(
    (value, key) => (value as Record<string, unknown> | undefined)?.[key],
    docs,
  )
}

export const sameValue = (a: unknown, b: unknown): boolean =>
  a === b || (a !== undefined && b !== undefined && canonicalJson(a) === canonicalJson(b))

/**
 * The single values that patches put in place of others. Lists are left out:
 * what two people add to one goes together.
 */
export function putsOf(patches: readonly DocPatch[]): Put[] {
  return patches.flatMap(({ op, path, value }) =>
    op === 'replace' && !Array.isArray(value) && path.every((key) => typeof key === 'string')
      ? [{ path, value: value as unknown }]
      : [],
  )
}

/**
 * Whether something else stands now where an edit was made to put its values
 * than stood there when it was made: somebody has changed the same in between,
 * to a different value.
 */
export function isClash(before: SiteDocs, now: SiteDocs, puts: readonly Put[]): boolean {
  return puts.some(({ path, value }) => {
    const there = valueAt(now, path)
    return !sameValue(there, valueAt(before, path)) && !sameValue(there, value)
  })
}
