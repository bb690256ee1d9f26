import { colorOf, difference, opaqueKey, parseColor, tidyShade, writeHex } from '@/core/color'
import { writeDecision } from '@/core/edit'
import { decisionColor } from '@/core/resolve'
import { canonicalJson, isBound, slotName, type ColorDecision, type Palette } from '@/core/site'
import {
  boundTo,
  pairFaults,
  type InventoryEntry,
  type PairFault,
  type SweepFrom,
  type SweepPair,
  type SweepRequest,
} from '@/core/sweep'
import type { Going } from '../recolor'

/** A pair while it is put together: either side may still be open. */
export interface PairDraft {
  readonly id: number
  readonly from?: SweepFrom
  readonly to?: ColorDecision
}

/** What is looked for, as the colour that stands for it. */
export const soughtOf = (from: SweepFrom): ColorDecision =>
  'value' in from
    ? { value: from.value }
    : { slot: from.slot, ...(from.shade && tidyShade(from.shade) ? { shade: from.shade } : {}) }

/** What a chosen colour looks for: a slot with all its shades, one shade alone, or a loose colour as near as before. */
export function fromOf(decision: ColorDecision, before?: SweepFrom): SweepFrom {
  if (isBound(decision)) return decision
  const { value } = decision
  if (!before || !('value' in before)) return { value, within: 0 }
  // What was said of the family of another colour says nothing of this one's.
  const { also: _also, except: _except, ...rest } = before
  return { ...rest, value }
}

export const canSwap = ({ from, to }: PairDraft): boolean => !!from && !!to

/** The pair the other way round. */
export const swapped = ({ id, from, to }: PairDraft): PairDraft => ({
  id,
  ...(to ? { from: fromOf(to, from) } : {}),
  ...(from ? { to: soughtOf(from) } : {}),
})

/** The entries of an inventory that pairs look for, by their keys. */
export const soughtKeys = (drafts: readonly PairDraft[]): ReadonlySet<string> =>
  new Set(
    drafts.flatMap(({ from }) => {
      const sought = from && soughtOf(from)
      if (!sought) return []
      if (isBound(sought)) return [`slot:${sought.slot}`]
      const color = colorOf(sought.value)
      return color ? [`${opaqueKey(color)}ff`] : []
    }),
  )

/** The faults of the pairs that are complete, by their ids. */
export function draftFaults(drafts: readonly PairDraft[]): ReadonlyMap<number, PairFault> {
  const complete = drafts.flatMap(({ id, from, to }) => (from && to ? [{ id, from, to }] : []))
  const faults = pairFaults(complete)
  return new Map(complete.flatMap(({ id }, i) => (faults[i] ? [[id, faults[i]] as const] : [])))
}

/** The colours that go by the pairs that are complete, each with what it becomes. */
export const goingIn = (palette: Palette, drafts: readonly PairDraft[]): Going[] =>
  drafts.flatMap(({ from, to }) => {
    const color = from && to && decisionColor(palette, soughtOf(from))
    return color ? [{ color, to }] : []
  })

/** How near counts, as CIEDE2000, in words. */
export const nearness: ReadonlyArray<readonly [within: number, words: string]> = [
  [0, 'this very colour'],
  [1, 'within ΔE 1'],
  [2.3, 'within ΔE 2.3'],
  [5, 'within ΔE 5'],
  [10, 'within ΔE 10'],
]

export function draftFrom(id: number, entry: InventoryEntry, within = 0): PairDraft {
  if (entry.slot) return { id, from: { slot: entry.slot } }
  const value = writeHex({ ...entry.color, alpha: 1 })
  const to = entry.near && boundTo(entry.near)
  return { id, from: { value, within }, to }
}

/** A pair for each colour of some entries, numbered from one on; transparent variants go with the opaque colour. */
export function draftsFrom(first: number, entries: readonly InventoryEntry[]): PairDraft[] {
  const drafts = entries.map((entry, i) => draftFrom(first + i, entry))
  return drafts.filter((draft, i) => drafts.findIndex((each) => isSameSought(each, draft)) === i)
}

/** Whether two pairs look for the same, but for how near counts. */
export const isSameSought = ({ from }: PairDraft, other: PairDraft): boolean =>
  !!from && !!other.from && canonicalJson(soughtOf(from)) === canonicalJson(soughtOf(other.from))

/** The pairs that can be carried out; none while two of them are at odds. */
export function completePairs(drafts: readonly PairDraft[]): SweepPair[] {
  const faults = draftFaults(drafts)
  if ([...faults.values()].includes('at-odds')) return []
  return drafts.flatMap(({ id, from, to }) => (from && to && !faults.has(id) ? [{ from, to }] : []))
}

export type Scope = SweepRequest['scope']

export function entryName(palette: Palette, entry: InventoryEntry): string {
  if (entry.slot) return slotName(palette, entry.slot)
  if (!entry.near) return writeHex(entry.color)
  const name = writeDecision(palette, boundTo(entry.near))
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
