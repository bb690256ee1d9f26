import { colorOf, difference, parseColor, writeHex } from '@/core/color'
import { slotName, type ColorDecision, type Palette } from '@/core/site'
import type { InventoryEntry, SweepFrom, SweepPair, SweepRequest } from '@/core/sweep'

/** A pair while it is put together: the target may still be open. */
export interface PairDraft {
  readonly id: number
  readonly from: SweepFrom
  readonly to?: ColorDecision
}

/** How near counts, as CIEDE2000, in words. */
export const nearness: ReadonlyArray<readonly [within: number, words: string]> = [
  [0, 'this very colour'],
  [2, 'within ΔE 2'],
  [5, 'within ΔE 5'],
  [10, 'within ΔE 10'],
]

export function draftFrom(id: number, entry: InventoryEntry): PairDraft {
  if (entry.slot) return { id, from: { slot: entry.slot } }
  const value = writeHex({ ...entry.color, alpha: 1 })
  const to = entry.near ? { slot: entry.near.slot } : undefined
  return { id, from: { value, within: 0 }, to }
}

export function completePairs(drafts: readonly PairDraft[]): SweepPair[] {
  return drafts.flatMap(({ from, to }) => (to ? [{ from, to }] : []))
}

export type Scope = SweepRequest['scope']

export function entryName(palette: Palette, entry: InventoryEntry): string {
  if (entry.slot) return slotName(palette, entry.slot)
  if (!entry.near) return writeHex(entry.color)
  const name = slotName(palette, entry.near.slot)
  if (entry.near.held && entry.near.difference > 5) return `${name} as it was`
  return entry.near.difference === 0 ? `same as ${name}` : `near ${name}`
}

/**
 * CIEDE2000 within which a colour is near one that is typed as a code, and within
 * which it goes by one that is typed as a word: “teal” means many a teal. Common
 * practice, no source.
 */
const [NEAR_CODE, NEAR_WORD] = [12, 26]

/** A colour typed into the search finds what is near it, its word all that goes by it; other words find names and notations. */
export function matchingEntries(
  palette: Palette,
  entries: readonly InventoryEntry[],
  search: string,
): readonly InventoryEntry[] {
  const text = search.trim().toLowerCase()
  if (!text) return entries
  const color = parseColor(text).ok ? colorOf(text) : undefined
  const isWord = /^[a-z]+$/.test(text)
  if (color) {
    return entries
      .map((entry) => [difference(entry.color, color), entry] as const)
      .filter(([gap]) => gap < (isWord ? NEAR_WORD : NEAR_CODE))
      .sort(([a], [b]) => a - b)
      .map(([, entry]) => entry)
  }
  return entries.filter((entry) =>
    [entryName(palette, entry), ...entry.notations].some((words) =>
      words.toLowerCase().includes(text),
    ),
  )
}
