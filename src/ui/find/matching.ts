import type { Entry } from './entries'

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}#.]+/u)
    .filter(Boolean)

/** A plural is found by its singular, and the other way about. */
const stem = (word: string) => (word.length > 3 && word.endsWith('s') ? word.slice(0, -1) : word)

interface Indexed {
  readonly entry: Entry
  readonly label: readonly string[]
  readonly all: readonly string[]
}

/** Prepares entries for being searched again and again. */
export const indexed = (entries: readonly Entry[]): Indexed[] =>
  entries.map((entry) => {
    const label = wordsOf(entry.label).map(stem)
    return {
      entry,
      label,
      all: [...label, ...wordsOf(`${entry.more ?? ''} ${entry.words}`).map(stem)],
    }
  })

/** How well one word is met: a word of the name before another word for it, whole before begun. */
function worth({ label, all }: Indexed, word: string): number {
  if (label.includes(word)) return 8
  if (label.some((each) => each.startsWith(word))) return 5
  if (all.includes(word)) return 4
  return all.some((each) => each.startsWith(word)) ? 2 : 0
}

/** Of two that are met alike, what holds for more comes first. */
const reach = ({ group }: Entry) => (group === 'This page' ? 0 : 0.5)

/** Most that are told: beyond that, one types on. */
export const mostFound = 40

/** The entries that meet every word of what is typed, those that meet it best first. */
export function found(index: readonly Indexed[], typed: string): Entry[] {
  const words = wordsOf(typed).map(stem)
  if (words.length === 0) return []
  const scored = index.flatMap((each) => {
    const worths = words.map((word) => worth(each, word))
    if (worths.includes(0)) return []
    const sum = worths.reduce((total, one) => total + one, 0)
    // Of two that are met alike, the shorter name says less that was not asked for.
    return [{ entry: each.entry, rank: sum + reach(each.entry) - each.label.length * 0.1 }]
  })
  return scored
    .sort((a, b) => b.rank - a.rank)
    .slice(0, mostFound)
    .map(({ entry }) => entry)
}
