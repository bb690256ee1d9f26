import type { Transaction } from 'sequelize'
import type { DocId, Frame } from '@/core/site'
import { countingCells, type Facets, type SweepRequest } from '@/core/sweep'
import { placeIds, type Use } from '@/core/uses'
import type { UseQuestion } from '@/core/wide'
import { select } from '../database/sets'
import { bindsOf, hitReader } from './color-hits'
import { titledHits, type CountedHits, type Same, type TitledRecord } from './plans'
import { TITLE, whereUses } from './questions'
import type { UseRow } from './rows'

/** What uses are that become the same by a sweep, whatever they are in. */
type Alike = Pick<
  UseRow,
  'place' | 'slot' | 'shade' | 'written' | 'css' | 'escape' | 'bindable' | 'paints'
> & { readonly is_text: boolean }

/** Uses that are alike in all that they are told apart by, and where they are. */
interface Counted extends Alike, Pick<UseRow, 'object' | 'state'> {
  readonly record: string
  readonly kind: string
  readonly id: string
  readonly title: string
  readonly count: number
}

/** What becomes of one of many. */
interface Fate {
  readonly pair: number
  readonly binds: -1 | 0 | 1
}

/** Tells what becomes of uses, each kind of them once, and which of them stay what they are. */
function fates(frame: Frame, request: SweepRequest) {
  const read = hitReader(frame, request)
  const known = new Map<string, Fate | undefined>()
  const same: Same[] = []
  const fateOf = (row: Counted): Fate | undefined => {
    const { place, slot, shade, written, css, escape, bindable, paints, is_text } = row
    const key = JSON.stringify([
      place,
      slot,
      shade,
      written,
      css,
      escape,
      bindable,
      paints,
      is_text,
    ])
    if (known.has(key)) return known.get(key)
    const one = { ...row, n: 0, color: null, property: '', context: null, context_at: null }
    const use = { ...one, path: '[]', owner: '{}', label: '', start: is_text ? 0 : null }
    const hit = read(use, 'frame')
    const fate = hit && { pair: hit.pair, binds: bindsOf(hit) }
    if (!fate) {
      same.push({
        place: place as Use['place'],
        written,
        slot: slot ?? '',
        shade: shade ?? '',
        bindable,
      })
    }
    known.set(key, fate)
    return fate
  }
  return { fateOf, same }
}

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

/** Counts what a sweep finds, and tells what it would leave as it is: one question to the index. */
export async function countHits(
  siteId: string,
  frame: Frame,
  request: SweepRequest,
  question: UseQuestion,
  transaction: Transaction,
): Promise<{ readonly hits: CountedHits; readonly same: readonly Same[] }> {
  const { sql, bind } = whereUses(question, 2)
  const rows = await select<Counted>(
    `select u.record, u.place, u.object, u.paints, u.state, u.slot, u.shade, u.written, u.css,
       u.escape, u.bindable, u.is_text, u.count, r.kind, r.id, ${TITLE} as title
     from use_groups u join records r on r.no = u.record
     where u.site_id = $1 and ${sql}
     order by array_position($${2 + bind.length}::text[], u.place), r.position nulls first, r.id,
       u.object, u.paints, u.state`,
    [siteId, ...bind, placeIds],
    transaction,
  )
  const counting = countingCells()
  const { fateOf, same } = fates(frame, request)
  const seen = new Map<string, TitledRecord>()
  for (const row of rows) {
    const fate = fateOf(row)
    if (!fate) continue
    const facets = facetsOfRow(row, fate.pair)
    if (!seen.has(facets.doc)) seen.set(facets.doc, { no: row.record, title: row.title })
    counting.add(facets, row.count, fate.binds)
  }
  return { hits: titledHits(counting.table(), seen), same }
}
