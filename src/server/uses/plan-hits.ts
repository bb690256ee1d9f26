import type { Transaction } from 'sequelize'
import { writeHex } from '@/core/color'
import { decisionWords } from '@/core/edit'
import {
  done,
  refused,
  type HitCells,
  type HitLine,
  type HitWindow,
  type Result,
} from '@/core/payloads'
import { isBound, siteDocs, type ColorDecision, type DocId, type Frame } from '@/core/site'
import {
  cellsOf,
  fitsFilter,
  hitFor,
  type Hit,
  type SweepRequest,
  type UseFilter,
} from '@/core/sweep'
import { usesUnder, type PlaceId, type Use } from '@/core/uses'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { loadFrame } from '../records'
import { countHits } from './count-hits'
import { keptPlan, whereHits, type CountedHits, type KeptPlan, type Plan } from './plans'
import { useOfRow, type UseRow } from './rows'

/** Whether a hit becomes bound (1), stops to be so (−1), or neither. */
export const bindsOf = ({ use, becomesBound }: Pick<Hit, 'use' | 'becomesBound'>) =>
  (Number(becomesBound) - Number(isBound(use.decision))) as -1 | 0 | 1

/** As it is written; letters of base64 as they are read. */
const asRead = ({ escape, css, text }: Use) => (escape === 'base64' ? (css ?? text) : text)

type HitRow = UseRow & { readonly kind: string; readonly id: string; readonly record: string }

const docOf = ({ kind, id }: HitRow) => (kind === 'frame' ? 'frame' : id) as DocId

function lineOf(frame: Frame, row: HitRow, request: SweepRequest): HitLine[] {
  const docs = siteDocs(frame)
  const [use] = usesUnder(frame.palette, [useOfRow(row, docOf(row))])
  const hit = use && hitFor(frame.palette, use, request)
  if (!hit) return []
  const { key, pair, after, beforeColor, afterColor, change } = hit
  const isText = 'at' in change
  return [
    {
      key,
      pair,
      place: use.place,
      doc: use.doc,
      object: use.object,
      property: use.property,
      paints: use.paints,
      ...(use.state ? { state: use.state } : {}),
      owner: use.owner,
      label: use.label,
      before: isText ? asRead(use) : decisionWords(use.decision, docs),
      after: isText ? after : decisionWords((change as { to: unknown }).to as ColorDecision, docs),
      beforeColor: beforeColor ? writeHex(beforeColor) : 'transparent',
      afterColor: writeHex(afterColor),
      binds: bindsOf(hit),
      ...(use.context === undefined ? {} : { context: use.context, textAt: use.textAt }),
    },
  ]
}

/** Most hits in one answer. */
const MOST_HITS = 500

/** So many hits that fit a filter, beginning with number `from`. */
interface Span {
  readonly from: number
  readonly count: number
  readonly filter: UseFilter
}

/** Hits in one place of one document. */
interface There {
  readonly place: PlaceId
  readonly doc: string
  readonly count: number
}

/** Where hits lie that fit a filter, in the order in which they are listed. */
function whereTheyLie({ table }: CountedHits, filter: UseFilter): There[] {
  const there = new Map<string, There>()
  for (const cell of cellsOf(table)) {
    if (!fitsFilter(filter, cell)) continue
    const { place, doc, count } = cell
    const key = `${place} ${doc}`
    there.set(key, { place, doc, count: (there.get(key)?.count ?? 0) + count })
  }
  return [...there.values()]
}

/** Where hits lie that a window shows, and how many of them come before it. */
function within(lie: readonly There[], { from, count }: Span) {
  let before = 0
  let skipped = 0
  const shown: There[] = []
  for (const there of lie) {
    const after = before + there.count
    if (after <= from) skipped = after
    else if (before < from + count) shown.push(there)
    else break
    before = after
  }
  return { shown, skip: from - skipped }
}

/** Some hits of a plan that fit a filter, given where all of them lie. */
export async function readHits(
  siteId: string,
  plan: Pick<Plan, 'request' | 'question' | 'same'>,
  hits: CountedHits,
  span: Span,
  transaction: Transaction,
): Promise<HitLine[]> {
  const { shown, skip } = within(whereTheyLie(hits, span.filter), span)
  if (shown.length === 0) return []
  const { sql, bind } = whereHits(plan)
  const at = 2 + bind.length
  const records = [...new Set(shown.map(({ doc }) => hits.records[doc]!))]
  const rows = await select<HitRow>(
    `select r.kind, r.id, u.* ${sql} and r.no = any($${at}::bigint[]) and u.record = any($${at}::bigint[])
     order by u.record, u.n`,
    [siteId, ...bind, records],
    transaction,
  )
  const frame = await loadFrame(siteId, transaction)
  const there = new Map<string, HitRow[]>()
  for (const row of rows) {
    const key = `${row.place} ${docOf(row)}`
    const own = there.get(key)
    if (own) own.push(row)
    else there.set(key, [row])
  }
  const isFiltered = Object.keys(span.filter).length > 0
  const listed = shown.flatMap(({ place, doc }) => there.get(`${place} ${doc}`) ?? [])
  if (!isFiltered) {
    return listed.slice(skip, skip + span.count).flatMap((row) => lineOf(frame, row, plan.request))
  }
  return listed
    .flatMap((row) => lineOf(frame, row, plan.request))
    .filter((line) => fitsFilter(span.filter, line))
    .slice(skip, skip + span.count)
}

/** A plan, counted anew where the site went on since: hits lie elsewhere then. */
async function countedPlan(
  actor: Actor,
  siteId: string,
  id: string,
  transaction: Transaction,
): Promise<Result<{ readonly plan: KeptPlan; readonly hits: CountedHits }>> {
  const found = await siteFor(actor, 'read', siteId, transaction)
  if (!found.ok) return found
  const plan = await keptPlan(actor.userId, siteId, id, transaction)
  if (!plan) return refused({ code: 'plan-gone' })
  if (plan.revision === found.value.revision) return done({ plan, hits: plan.hits })
  const frame = await loadFrame(siteId, transaction)
  return done({ plan, hits: await countHits(siteId, frame, plan, transaction) })
}

/** Some hits of a dry run that fit a filter, in the order of places, pages and readers. */
export function planHits(
  actor: Actor,
  siteId: string,
  id: string,
  { from, count, filter = {} }: Pick<Span, 'from' | 'count'> & Partial<Span>,
): Promise<Result<HitWindow>> {
  return atOneMoment(async (transaction) => {
    const found = await countedPlan(actor, siteId, id, transaction)
    if (!found.ok) return found
    const { plan, hits } = found.value
    const span = { from, count: Math.min(count, MOST_HITS), filter }
    return done({ from, hits: await readHits(siteId, plan, hits, span, transaction) })
  })
}

/** The hits of a dry run by all that they are told apart by. */
export function planCells(actor: Actor, siteId: string, id: string): Promise<Result<HitCells>> {
  return atOneMoment(async (transaction) => {
    const found = await countedPlan(actor, siteId, id, transaction)
    if (!found.ok) return found
    return done(await titledCells(siteId, found.value.hits, transaction))
  })
}

/** The cells of a plan with what each document is called: pages by title, pictures by file name. */
export async function titledCells(
  siteId: string,
  { table, records }: CountedHits,
  transaction: Transaction,
): Promise<HitCells> {
  const rows = await select<{ no: string; title: string }>(
    `select r.no::text, coalesce(nullif(r.title, ''), r.path, r.id) as title
     from records r where r.site_id = $1 and r.no = any($2::bigint[])`,
    [siteId, Object.values(records)],
    transaction,
  )
  const titles = new Map(rows.map(({ no, title }) => [no, title]))
  const titleOf = (doc: string) =>
    doc === 'frame' ? 'what all pages share' : (titles.get(records[doc]!) ?? doc)
  return { ...table, titles: table.docs.map(titleOf) }
}
