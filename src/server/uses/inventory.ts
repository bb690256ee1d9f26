import type { Transaction } from 'sequelize'
import { colorOfKey } from '@/core/color'
import { done, type Inventory, type Leftovers, type Result, type SlotUses } from '@/core/payloads'
import { own, type Palette, type SlotId } from '@/core/site'
import { inventoryOf, leftoverFinder, waiting, type ColorCount, type UseFilter } from '@/core/sweep'
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

/** The uses that an inventory counts: those that fit a filter, and of the palette none, for what a slot holds is no use of it. */
function whereFits({ place, doc, object, paints, state }: UseFilter) {
  const bind: string[] = []
  const given = (sql: (at: string) => string, value: string | undefined) => {
    if (value === undefined) return []
    bind.push(value)
    return [sql(`$${bind.length + 1}`)]
  }
  const parts = [
    `u.site_id = $1 and u.place <> 'palette'`,
    ...given((at) => `u.place = ${at}`, place),
    ...given((at) => `u.object = ${at}`, object),
    ...given((at) => `u.paints = ${at}`, paints),
    ...given((at) => `u.state = ${at}`, state),
    ...given(
      (at) =>
        `u.record = (select no from records where site_id = $1 and kind = 'page' and id = ${at})`,
      doc,
    ),
  ]
  return { sql: parts.join(' and '), bind }
}

/** Every colour in use with how often, how it is written and where: one question to the index. */
const inventorySql = (where: string) => `
  select color, slot, sum(count)::int as count, sum(bindable)::int as bindable,
    (array_agg(written order by count desc, written) filter (where slot is null))[1:${MOST_WRITTEN}] as written,
    array_agg(distinct place) as places
  from (
    select color, slot, written, place, sum(count) as count,
      coalesce(sum(count) filter (where bindable), 0) as bindable from use_groups u
    where ${where} group by color, slot, written, place
  ) each group by color, slot`

async function countsOf(
  siteId: string,
  palette: Palette,
  filter: UseFilter,
  transaction?: Transaction,
) {
  const { sql, bind } = whereFits(filter)
  const rows = await select<Row>(inventorySql(sql), [siteId, ...bind], transaction)
  return rows.flatMap(({ color, slot, count, bindable, written, places }): ColorCount[] => {
    if (slot !== null)
      return own(palette.slots, slot) ? [{ slot, count, bindable, places, notations: [] }] : []
    if (color === null) return []
    const notations = [...new Set(written ?? [])]
    return [{ key: color, color: colorOfKey(color), count, bindable, places, notations }]
  })
}

/** Every colour in use, of all uses or of those that fit a filter. */
export function inventory(
  actor: Actor,
  siteId: string,
  filter: UseFilter = {},
): Promise<Result<Inventory>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const { palette } = await loadFrame(siteId, transaction)
    const counts = await countsOf(siteId, palette, filter, transaction)
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
      `select color, sum(count)::int as count,
         coalesce(sum(count) filter (where bindable), 0)::int as bindable
       from use_groups where site_id = $1 and color = any($2::text[]) and place <> 'palette' group by color`,
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
      `select place, sum(count)::int as count from use_groups
       where site_id = $1 and slot = $2 group by place order by place`,
      [siteId, slot],
      transaction,
    )
    return done({ places: Object.fromEntries(rows.map(({ place, count }) => [place, count])) })
  })
}
