/** Where a chain of aliases ends: at something that is none, in a circle, or nowhere. */
export type Followed<T> = { readonly at: T } | 'cyclic-alias' | 'missing-alias'

/** What one step of a chain comes to: the end of it, the next one, or nothing at all. */
export type Step<T> = 'end' | { readonly next: T | undefined }

/**
 * Follows aliases to what they stand for. What was found for one is known for
 * all that lead through it, so a long chain is gone through once.
 */
export function aliasFollower<T>(stepOf: (at: T) => Step<T>): (start: T) => Followed<T> {
  const known = new Map<T, Followed<T>>()
  return (start) => {
    const passed = new Set<T>()
    let at = start
    let end = known.get(at)
    while (!end) {
      const step = stepOf(at)
      if (step === 'end') end = { at }
      else if (passed.has(at)) end = 'cyclic-alias'
      else {
        passed.add(at)
        if (step.next === undefined) end = 'missing-alias'
        else {
          at = step.next
          end = known.get(at)
        }
      }
    }
    for (const each of passed) known.set(each, end)
    return end
  }
}
