import type { Transaction } from 'sequelize'
import { colorOfKey } from '@/core/color'
import { done, type Inventory, type Leftovers, type Result, type SlotUses } from '@/core/payloads'
import { own, type Palette, type SlotId } from '@/core/site'
import { inventoryOf, leftoverFinder, waiting, type ColorCount } from '@/core/sweep'
import type { PlaceId } from '@/core/uses'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { loadFrame } from '../records'
import { looseColors } from './questions'

interface Row {
  readonly color: string | null
  readonly slot: SlotId | null
  readonly count: number
  readonly bindable: number
  readonly written: readonly string[]
  readonly places: readonly PlaceId[]
}

/** Ways of writing one colour that are told; there may be as many as uses. */
const MOST_WRITTEN = 12

/** Every colour in use (what slots hold is none) with how often, how it is written and where: one question to the index. */
export const inventorySql = `
  select color, slot, sum(count)::int as count, sum(bindable)::int as bindable,
    (array_agg(written order by count desc, written) filter (where slot is null))[1:${MOST_WRITTEN}] as written,
    array_agg(distinct place) as places
  from (
    select color, slot, written, place, count(*) as count,
      count(*) filter (where bindable) as bindable from uses
    where site_id = $1 and place <> 'palette' group by color, slot, written, place
  ) each group by color, slot`

async function countsOf(siteId: string, palette: Palette, transaction?: Transaction) {
  const rows = await select<Row>(inventorySql, [siteId], transaction)
  return rows.flatMap(({ color, slot, count, bindable, written, places }): ColorCount[] => {
    if (slot !== null)
      return own(palette.slots, slot) ? [{ slot, count, bindable, places, notations: [] }] : []
    if (color === null) return []
    const notations = [...new Set(written ?? [])]
    return [{ key: color, color: colorOfKey(color), count, bindable, places, notations }]
  })
}

export function inventory(actor: Actor, siteId: string): Promise<Result<Inventory>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const { palette } = await loadFrame(siteId, transaction)
    const counts = await countsOf(siteId, palette, transaction)
    const sum = (some: readonly ColorCount[]) => some.reduce((all, { count }) => all + count, 0)
    return done({
      revision: found.value.revision,
      entries: inventoryOf(palette, counts),
      uses: sum(counts),
      bound: sum(counts.filter((count) => 'slot' in count)),
    })
  })
}

/** How many loose uses are what a slot holds or held, or a shade of that: what was left behind as slots changed. */
export function leftovers(actor: Actor, siteId: string): Promise<Result<Leftovers>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const { palette } = await loadFrame(siteId, transaction)
    const find = leftoverFinder(palette)
    const colors = await looseColors(siteId, transaction)
    const left = new Map(
      colors.flatMap((key) => {
        const leftover = find(colorOfKey(key))
        return leftover ? [[key, leftover] as const] : []
      }),
    )
    const counted = await select<{ color: string; count: number; bindable: number }>(
      `select color, count(*)::int as count, (count(*) filter (where bindable))::int as bindable
       from uses where site_id = $1 and color = any($2::text[]) and place <> 'palette' group by color`,
      [siteId, [...left.keys()]],
      transaction,
    )
    const uses = counted.reduce((all, each) => all + waiting(left.get(each.color)!, each), 0)
    return done({ uses })
  })
}

/** How many uses a slot has, by place, over the whole site. */
export function slotUses(actor: Actor, siteId: string, slot: string): Promise<Result<SlotUses>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const rows = await select<{ place: PlaceId; count: number }>(
      `select place, count(*)::int as count from uses
       where site_id = $1 and slot = $2 group by place order by place`,
      [siteId, slot],
      transaction,
    )
    return done({ places: Object.fromEntries(rows.map(({ place, count }) => [place, count])) })
  })
}
