import { leastCost } from '../palette'
import type { RoleId } from '../roles'
import {
  idFromName,
  isBound,
  mostSlots,
  slotId,
  slotsInOrder,
  type Palette,
  type SlotId,
  type Theme,
} from '../site'
import type { Livery } from './livery'

/** A theme of the site and the one of the livery that takes its place. */
export interface Couple {
  readonly own: Theme
  readonly taken: Theme
}

/** What tells most of what a slot is for. Common practice, no source. */
const TELLING: Partial<Readonly<Record<RoleId, number>>> = {
  ground: 4,
  buttonFill: 4,
  text: 2,
  heading: 2,
  link: 2,
  accent: 2,
  surface: 2,
}

/** How often two slots do the same: in themes that stand for one another, for the same role. */
function votes(couples: readonly Couple[]): Map<string, number> {
  const counted = new Map<string, number>()
  for (const { own, taken } of couples) {
    for (const [role, decision] of Object.entries(own.roles)) {
      const other = taken.roles[role as RoleId]
      if (!isBound(decision) || !isBound(other)) continue
      const key = `${decision.slot} ${other.slot}`
      counted.set(key, (counted.get(key) ?? 0) + (TELLING[role as RoleId] ?? 1))
    }
  }
  return counted
}

export interface SlotFit {
  /** The slot of the site that each slot of the livery becomes; those that are new have an id of their own. */
  readonly becomes: ReadonlyMap<SlotId, SlotId>
  /** Slots of the livery that the palette has no room for. */
  readonly without: readonly SlotId[]
  /** Slots of the site that take the colour of one of the livery which becomes another: the livery has fewer. */
  readonly shares: ReadonlyMap<SlotId, SlotId>
  /** Slots of the site that nothing of the livery does the same as. */
  readonly stays: readonly SlotId[]
}

/**
 * Which slot of a livery takes the place of which: the one that does the same in the themes, so that
 * whatever refers to a slot gets the colour that does there what the old one did here. The others
 * come as new ones, as long as there is room; where the livery has fewer, several take one’s colour.
 */
export function fitSlots(palette: Palette, livery: Livery, couples: readonly Couple[]): SlotFit {
  const [own, offered] = [slotsInOrder(palette), slotsInOrder(livery.palette)]
  const counted = votes(couples)
  const most = Math.max(1, ...counted.values())
  const found = leastCost(own.length, offered.length, 1, (row, column) => {
    const votesHere = counted.get(`${own[row]!.id} ${offered[column]!.id}`) ?? 0
    return votesHere === 0 ? 2 : 1 - votesHere / (most + 1)
  })
  const becomes = new Map<SlotId, SlotId>()
  found.forEach((column, row) => {
    if (column >= 0) becomes.set(offered[column]!.id, own[row]!.id)
  })
  const ids: string[] = own.map(({ id }) => id)
  const without: SlotId[] = []
  for (const slot of offered) {
    if (becomes.has(slot.id)) continue
    if (ids.length >= mostSlots) {
      without.push(slot.id)
      continue
    }
    const id = slotId.parse(idFromName(slot.name, ids, 'slot'))
    ids.push(id)
    becomes.set(slot.id, id)
  }
  const left = own.flatMap(({ id }, row) => (found[row]! < 0 ? [id] : []))
  const shares = new Map<SlotId, SlotId>()
  for (const id of left) {
    const votesFor = (slot: SlotId) => counted.get(`${id} ${slot}`) ?? 0
    const best = offered.map((slot) => slot.id).sort((a, b) => votesFor(b) - votesFor(a))[0]
    if (best && votesFor(best) > 0) shares.set(id, best)
  }
  return { becomes, without, shares, stays: left.filter((id) => !shares.has(id)) }
}
