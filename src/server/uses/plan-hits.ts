import type { Transaction } from 'sequelize'
import {
  done,
  refused,
  type HitCells,
  type HitLine,
  type HitWindow,
  type Result,
} from '@/core/payloads'
import { cellsOf, fitsFilter, type UseFilter } from '@/core/sweep'
import type { PlaceId } from '@/core/uses'
import { questionOf } from '@/core/wide'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { loadFrame } from '../records'
import { colorHits } from './color-hits'
import { countHits } from './count-hits'
import { namesOf } from './names'
import { keptPlan, type CountedHits, type Plan, type PlannedHit } from './plans'
import { looseColors } from './questions'
import { countTexts, textHits } from './text-hits'

/** The hits of some records, whatever is swept. */
function hitsOf(
  siteId: string,
  plan: Plan,
  records: readonly string[],
  transaction: Transaction,
): Promise<PlannedHit[]> {
  return plan.of === 'colors'
    ? colorHits(siteId, plan, records, transaction)
    : textHits(siteId, plan, records, transaction)
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

/** Some hits that fit a filter, given where all of them lie and how those of some records are read. */
export async function readHits(
  hits: CountedHits,
  span: Span,
  read: (records: readonly string[]) => Promise<PlannedHit[]>,
): Promise<HitLine[]> {
  const { shown, skip } = within(whereTheyLie(hits, span.filter), span)
  if (shown.length === 0) return []
  const records = [...new Set(shown.map(({ doc }) => hits.records[doc]!))]
  const there = new Map<string, PlannedHit[]>()
  for (const hit of await read(records)) {
    const key = `${hit.place} ${hit.doc}`
    const own = there.get(key)
    if (own) own.push(hit)
    else there.set(key, [hit])
  }
  const isFiltered = Object.keys(span.filter).length > 0
  const listed = shown.flatMap(({ place, doc }) => there.get(`${place} ${doc}`) ?? [])
  if (!isFiltered) return listed.slice(skip, skip + span.count).flatMap(({ lines }) => lines())
  return listed
    .flatMap(({ lines }) => lines())
    .filter((line) => fitsFilter(span.filter, line))
    .slice(skip, skip + span.count)
}

/** A plan, counted on the site as it is now. */
async function countedAnew(siteId: string, plan: Plan, transaction: Transaction): Promise<Plan> {
  if (plan.of === 'texts') {
    const known = await namesOf(siteId, transaction)
    return { ...plan, hits: (await countTexts(siteId, plan.asked, known, transaction)).hits }
  }
  const { request } = plan
  const frame = await loadFrame(siteId, transaction)
  const question = questionOf(request, await looseColors(siteId, transaction))
  return { ...plan, question, ...(await countHits(siteId, frame, request, question, transaction)) }
}

/** A plan, counted anew where the site went on since: hits lie elsewhere then. */
async function countedPlan(
  actor: Actor,
  siteId: string,
  id: string,
  transaction: Transaction,
): Promise<Result<Plan>> {
  const found = await siteFor(actor, 'read', siteId, transaction)
  if (!found.ok) return found
  const plan = await keptPlan(actor.userId, siteId, id, transaction)
  if (!plan) return refused({ code: 'plan-gone' })
  if (plan.revision === found.value.revision) return done(plan)
  return done(await countedAnew(siteId, plan, transaction))
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
    const plan = found.value
    const span = { from, count: Math.min(count, MOST_HITS), filter }
    const read = (records: readonly string[]) => hitsOf(siteId, plan, records, transaction)
    return done({ from, hits: await readHits(plan.hits, span, read) })
  })
}

/** The hits of a dry run by all that they are told apart by. */
export function planCells(actor: Actor, siteId: string, id: string): Promise<Result<HitCells>> {
  return atOneMoment(async (transaction) => {
    const found = await countedPlan(actor, siteId, id, transaction)
    return found.ok ? done(found.value.hits.table) : found
  })
}
