import type { Use } from '../use'
import type { UsePart } from './reading'

/** The uses in a text, which has to be read to count them. */
export const textPart = (of: unknown, from: string, uses: readonly Use[]): UsePart => ({
  of,
  from,
  count: uses.length,
  uses: () => uses,
})
