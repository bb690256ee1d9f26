import { colorOf, difference, toOklab, type Color, type Oklab } from '../color'

/** A list of names: hex without `#` → name. */
export type NameList = Readonly<Record<string, string>>

/** Candidates by OKLab distance that are compared by CIEDE2000. */
const CLOSEST = 60

interface KnownName {
  readonly name: string
  readonly color: Color
  readonly lab: Oklab
}

function readNames(list: NameList): KnownName[] {
  return Object.entries(list).flatMap(([hex, name]) => {
    const color = colorOf(`#${hex}`)
    return color ? [{ name, color, lab: toOklab(color) }] : []
  })
}

const wordsOf = (name: string) => name.toLowerCase().match(/\p{L}{3,}/gu) ?? []

/** How far from a colour a name for it may lie (CIEDE2000). Common practice, no source. */
const NAMED_AFTER = 25

/**
 * Tells whether a name says a colour that is no longer there: one of its words
 * stands in the list for a colour near the one before, and for none near the
 * one after. “Slate” says nothing true of a red; “Brand” says nothing of any colour.
 */
export function nameJudge(list: NameList): (name: string, before: Color, after: Color) => boolean {
  const byWord = new Map<string, Color[]>()
  for (const { name, color } of readNames(list)) {
    for (const word of wordsOf(name)) byWord.set(word, [...(byWord.get(word) ?? []), color])
  }
  return (name, before, after) => {
    const named = wordsOf(name).flatMap((word) => byWord.get(word) ?? [])
    const tells = (seen: Color) => named.some((color) => difference(color, seen) <= NAMED_AFTER)
    return tells(before) && !tells(after)
  }
}

/**
 * Gives colours names: the name of the nearest colour in a list by CIEDE2000,
 * chosen among the nearest in OKLab. `taken` names (letter case aside) are
 * passed over; where all near ones are, the nearest gets a number.
 */
export function colorNamer(list: NameList): (color: Color, taken?: Iterable<string>) => string {
  const known = readNames(list)
  const gap = (p: Oklab, q: Oklab) => (p.l - q.l) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2
  return (color, taken = []) => {
    const used = new Set([...taken].map((name) => name.toLowerCase()))
    const lab = toOklab(color)
    const ranked = known
      .map((each) => ({ ...each, gap: gap(each.lab, lab) }))
      .sort((a, b) => a.gap - b.gap)
      .slice(0, CLOSEST)
      .sort((a, b) => difference(a.color, color) - difference(b.color, color))
    const free = ranked.find(({ name }) => !used.has(name.toLowerCase()))
    if (free) return free.name
    const stem = ranked[0]?.name ?? 'Colour'
    let number = 2
    while (used.has(`${stem} ${number}`.toLowerCase())) number += 1
    return `${stem} ${number}`
  }
}
