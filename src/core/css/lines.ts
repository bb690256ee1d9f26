/** A text's lines, found once: a text is asked for its lines again and again. */
export interface TextLines {
  /** The line of an offset, from 1. */
  readonly lineAt: (offset: number) => number
  /** The line around a stretch, cut short for showing; the stretch begins at `textAt`. */
  readonly around: (start: number, length: number) => { context: string; textAt: number }
}

/** Characters that are shown before and after a find. */
const [BEFORE, AFTER] = [22, 30]

export function textLines(text: string): TextLines {
  const ends: number[] = []
  for (let at = text.indexOf('\n'); at !== -1; at = text.indexOf('\n', at + 1)) ends.push(at)
  /** How many lines end before an offset: a binary search. */
  const before = (offset: number) => {
    let [low, high] = [0, ends.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (ends[middle]! < offset) low = middle + 1
      else high = middle
    }
    return low
  }
  return {
    lineAt: (offset) => before(offset) + 1,
    around(start, length) {
      const line = before(start)
      const from = Math.max(line === 0 ? 0 : ends[line - 1]! + 1, start - BEFORE)
      const end = ends[before(start + length)] ?? text.length
      const cut = text.slice(from, Math.min(end, start + length + AFTER))
      const lead = cut.length - cut.trimStart().length
      return { context: cut.trim(), textAt: start - from - lead }
    },
  }
}
