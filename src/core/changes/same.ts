/** Whether two values of JSON say the same, whatever the order of their members; an undefined member counts as none. */
export function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) || Array.isArray(b)) {
    if (!Array.isArray(a) || !Array.isArray(b) || a.length !== b.length) return false
    return a.every((item, i) => isSame(item, b[i]))
  }
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>]
  const member = (whole: Record<string, unknown>, key: string) =>
    Object.hasOwn(whole, key) ? whole[key] : undefined
  return [...new Set([...Object.keys(left), ...Object.keys(right)])].every((key) =>
    isSame(member(left, key), member(right, key)),
  )
}
