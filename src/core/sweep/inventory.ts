import { colorKey, type Color } from '../color'
import { slotColor } from '../resolve'
import { isBound, type Palette, type SlotId } from '../site'
import type { PlaceId, Use } from '../uses'
import { leftoverFinder, type Leftover } from './leftovers'

/** One colour of the site: all that is bound to one slot, or all loose uses that paint alike. */
export interface InventoryEntry {
  readonly key: string
  readonly color: Color
  readonly slot?: SlotId
  /** A slot that holds nearly this colour, or held it before, or a shade of that. */
  readonly near?: Leftover
  /** The ways in which it is written. */
  readonly notations: readonly string[]
  readonly count: number
  /** How many of them could refer to a slot. */
  readonly bindable: number
  readonly places: readonly PlaceId[]
}

/** Uses that are bound to one slot, or loose ones that paint alike, counted. */
export type ColorCount = Pick<InventoryEntry, 'count' | 'bindable' | 'places' | 'notations'> &
  ({ readonly slot: SlotId } | { readonly key: string; readonly color: Color })

/** Colours in use with what they are near to: slots in the palette's order, then loose ones, most used first. */
export function inventoryOf(palette: Palette, counts: readonly ColorCount[]): InventoryEntry[] {
  const find = leftoverFinder(palette)
  const entries = counts.map((each): InventoryEntry => {
    const { count, bindable, places, notations } = each
    if ('slot' in each) {
      const { slot } = each
      const color = slotColor(palette, slot)
      return { key: `slot:${slot}`, color, slot, notations, count, bindable, places }
    }
    const near = find(each.color)
    const { key, color } = each
    return { key, color, ...(near ? { near } : {}), notations, count, bindable, places }
  })
  const rank = ({ slot }: InventoryEntry) => (slot ? palette.order.indexOf(slot) : Infinity)
  return entries.sort((a, b) => {
    if (a.slot || b.slot) return rank(a) - rank(b)
    return b.count - a.count || (a.key < b.key ? -1 : 1)
  })
}

/** The same of uses that are all at hand. */
export function takeInventory(palette: Palette, uses: readonly Use[]): InventoryEntry[] {
  const groups = new Map<string, Use[]>()
  for (const use of uses) {
    // What a slot holds is no use of it.
    if (!use.color || use.place === 'palette') continue
    const key = isBound(use.decision) ? `slot:${use.decision.slot}` : colorKey(use.color)
    const group = groups.get(key)
    if (group) group.push(use)
    else groups.set(key, [use])
  }
  const counts = [...groups].map(([key, group]): ColorCount => {
    const { decision, color } = group[0]!
    const shared = {
      count: group.length,
      bindable: group.filter((use) => use.bindable).length,
      places: [...new Set(group.map(({ place }) => place))],
    }
    if (isBound(decision)) return { ...shared, slot: decision.slot, notations: [] }
    const notations = [...new Set(group.map(({ text }) => text))]
    return { ...shared, key, color: color!, notations }
  })
  return inventoryOf(palette, counts)
}
