import type { Steps } from '../kit'

/** The place of a section: its page, and its place on it. */
export type Place = readonly [page: number, band: number]

/** The place some steps on; on a shorter page its last section. Undefined beyond the edge, or where a page is not known. */
export function placeAt(
  heightOf: (page: number) => number | undefined,
  [page, band]: Place,
  [down, across]: Steps,
): Place | undefined {
  const next = page + across
  const height = heightOf(next)
  if (!height) return undefined
  const to = Math.min(band + down, across ? height - 1 : Infinity)
  return to >= 0 && to < height ? [next, to] : undefined
}
