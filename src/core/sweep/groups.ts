import { difference, lightness, toOklch, type Color } from '../color'
import { hasHue } from './family'
import type { InventoryEntry } from './inventory'

/** Colours that are one to the eye: the most used of them, and all with it. */
export interface InventoryGroup {
  readonly head: InventoryEntry
  /** The head first, then from the most used to the least. */
  readonly members: readonly InventoryEntry[]
  readonly count: number
}

/** Loose colours that are compared with one another; rarer ones stand by themselves. */
export const mostGrouped = 3000

const opaque = (color: Color): Color => ({ ...color, alpha: 1 })

/**
 * CIEDE2000 weighs lightness by 1.75 at most (Sharma, Wu, Dalal 2005, eq. 15), so that colours
 * further apart than this times a distance cannot lie within it.
 */
const MOST_WEIGHT = 1.75

interface Head {
  readonly color: Color
  readonly lightness: number
  readonly members: InventoryEntry[]
}

/** Where in a list that is sorted by lightness one of at least some lightness begins. */
function firstAt(heads: readonly Head[], least: number): number {
  let [low, high] = [0, heads.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (heads[middle]!.lightness < least) low = middle + 1
    else high = middle
  }
  return low
}

function nearestHead(heads: readonly Head[], color: Color, own: number, within: number) {
  let best: { head: Head; gap: number } | undefined
  const reach = within * MOST_WEIGHT
  for (let i = firstAt(heads, own - reach); i < heads.length; i += 1) {
    const head = heads[i]!
    if (head.lightness > own + reach) break
    const gap = difference(head.color, color)
    if (gap <= within && (!best || gap < best.gap)) best = { head, gap }
  }
  return best?.head
}

/**
 * Entries of an inventory in groups that are the same to the eye: loose colours within a
 * CIEDE2000 distance (0…20) of the most used among them, transparent variants with the opaque
 * colour. What is bound to a slot stands by itself. The order of entries is kept, by heads.
 */
export function groupEntries(entries: readonly InventoryEntry[], within: number): InventoryGroup[] {
  const loose = entries.filter(({ slot }) => !slot).sort((a, b) => b.count - a.count)
  const heads: Head[] = []
  const groups = new Map<InventoryEntry, Head>()
  loose.forEach((entry, i) => {
    const color = opaque(entry.color)
    const own = lightness(color)
    const known = i < mostGrouped ? nearestHead(heads, color, own, within) : undefined
    if (known) {
      known.members.push(entry)
      return
    }
    const head = { color, lightness: own, members: [entry] }
    heads.splice(firstAt(heads, own), 0, head)
    groups.set(entry, head)
  })
  return entries.flatMap((entry) => {
    if (entry.slot) return [{ head: entry, members: [entry], count: entry.count }]
    const own = groups.get(entry)
    if (!own) return []
    const count = own.members.reduce((sum, each) => sum + each.count, 0)
    return [{ head: entry, members: own.members, count }]
  })
}

/** Ways to order an inventory. */
export const inventoryOrders = {
  palette: 'slots first',
  used: 'most used first',
  lightness: 'light to dark',
  hue: 'by hue',
  area: 'most of this page',
} as const

export type InventoryOrder = keyof typeof inventoryOrders

/** Greys, which have no hue, come before all that have one. */
const hueRank = (color: Color): number => (hasHue(color) ? toOklch(color).h : -1)

/**
 * Groups in an order: by the palette, slots come as they do there, then loose colours, most used
 * first. Those that are alike in what is asked go from light to dark. `areaOf` tells how much of
 * a page a colour covers.
 */
export function orderGroups(
  groups: readonly InventoryGroup[],
  order: InventoryOrder,
  areaOf: (entry: InventoryEntry) => number = () => 0,
): readonly InventoryGroup[] {
  if (order === 'palette') {
    const loose = groups.filter(({ head }) => !head.slot).sort((a, b) => b.count - a.count)
    return [...groups.filter(({ head }) => head.slot), ...loose]
  }
  const rank = ({ head, members, count }: InventoryGroup) => {
    if (order === 'area') return -Math.max(...members.map(areaOf))
    if (order === 'used') return -count
    return order === 'hue' ? hueRank(head.color) : -lightness(head.color)
  }
  const ranked = groups.map((group) => [rank(group), -lightness(group.head.color), group] as const)
  return ranked.sort((a, b) => a[0] - b[0] || a[1] - b[1]).map(([, , group]) => group)
}
