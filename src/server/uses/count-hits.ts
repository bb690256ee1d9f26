import type { Transaction } from 'sequelize'
import { colorOfKey } from '@/core/color'
import { isBound, type DocId, type Frame } from '@/core/site'
import { countingCells, pairFor, type Facets, type SweepRequest } from '@/core/sweep'
import { placeIds, type Use } from '@/core/uses'
import { select } from '../database/sets'
import { titledHits, whereHits, type ColorPlan, type CountedHits, type TitledRecord } from './plans'
import { TITLE } from './questions'
import { boundRow, type UseRow } from './rows'

/** Hits that are alike in all that they are told apart by, and where they are. */
interface Counted extends Pick<
  UseRow,
  'place' | 'object' | 'paints' | 'state' | 'slot' | 'shade' | 'color' | 'bindable'
> {
  readonly record: string
  readonly kind: string
  readonly id: string
  readonly title: string
  readonly count: number
}

/** The pair that takes uses which refer to one thing, or paint alike. */
function pairing({ pairs }: SweepRequest) {
  const known = new Map<string, number | undefined>()
  return ({ slot, shade, color }: Counted): number | undefined => {
    const key = slot === null ? `${color}` : `${slot} ${shade}`
    if (known.has(key)) return known.get(key)
    const use =
      slot === null
        ? { decision: { value: '' }, color: colorOfKey(color!) }
        : { decision: boundRow(slot, shade) }
    const pair = pairFor(pairs, use)
    known.set(key, pair)
    return pair
  }
}

/** What a pair makes of a use: 1 where it becomes bound, −1 where it becomes loose. */
const binds = ({ pairs }: SweepRequest, pair: number, { bindable, slot }: Counted) =>
  (Number(bindable && isBound(pairs[pair]!.to)) - Number(slot !== null)) as -1 | 0 | 1

const facetsOfRow = (
  { place, kind, id, object, paints, state }: Counted,
  pair: number,
): Facets => ({
  place: place as Use['place'],
  doc: (kind === 'frame' ? 'frame' : id) as DocId,
  object,
  paints: paints as Use['paints'],
  ...(state === null ? {} : { state: state as NonNullable<Use['state']> }),
  pair,
})

/** Counts the hits of a plan: one question to the index. */
export async function countHits(
  siteId: string,
  { palette }: Frame,
  { request, ...plan }: Pick<ColorPlan, 'request' | 'question' | 'same'>,
  transaction: Transaction,
): Promise<CountedHits> {
  const { sql, bind } = whereHits(plan)
  const rows = await select<Counted>(
    `select c.*, r.kind, r.id, ${TITLE} as title from (
       select u.place, u.record, u.object, u.paints, u.state, u.slot, u.shade, u.color, u.bindable,
         count(*)::int as count
       from uses u where ${sql} group by 1, 2, 3, 4, 5, 6, 7, 8, 9) c
       join records r on r.no = c.record
     order by array_position($${2 + bind.length}::text[], c.place), r.position nulls first, r.id,
       c.object, c.paints, c.state`,
    [siteId, ...bind, placeIds],
    transaction,
  )
  const counting = countingCells()
  const pairOf = pairing(request)
  const seen = new Map<string, TitledRecord>()
  for (const row of rows) {
    const pair =
      row.slot === null || Object.hasOwn(palette.slots, row.slot) ? pairOf(row) : undefined
    if (pair === undefined) continue
    const facets = facetsOfRow(row, pair)
    if (!seen.has(facets.doc)) seen.set(facets.doc, { no: row.record, title: row.title })
    counting.add(facets, row.count, binds(request, pair, row))
  }
  return titledHits(counting.table(), seen)
}
