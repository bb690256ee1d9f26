import type { Transaction } from 'sequelize'
import { writeHex } from '@/core/color'
import { decisionWords } from '@/core/edit'
import { done, refused, type HitLine, type HitWindow, type Result } from '@/core/payloads'
import { isBound, siteDocs, type ColorDecision, type DocId, type Frame } from '@/core/site'
import { hitFor, type Hit, type SweepRequest } from '@/core/sweep'
import { usesUnder, type PlaceId, type Use } from '@/core/uses'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { loadFrame } from '../records'
import { hitsByRecord, keptPlan, whereHits, type HitsThere, type Plan } from './plans'
import { useOfRow, type UseRow } from './rows'

/** Whether a hit becomes bound (1), stops to be so (−1), or neither. */
export const bindsOf = ({ use, becomesBound }: Pick<Hit, 'use' | 'becomesBound'>) =>
  (Number(becomesBound) - Number(isBound(use.decision))) as -1 | 0 | 1

/** As it is written; letters of base64 as they are read. */
const asRead = ({ escape, css, text }: Use) => (escape === 'base64' ? (css ?? text) : text)

type HitRow = UseRow & { readonly kind: string; readonly id: string; readonly record: string }

function lineOf(frame: Frame, row: HitRow, request: SweepRequest): HitLine[] {
  const docs = siteDocs(frame)
  const doc = (row.kind === 'frame' ? 'frame' : row.id) as DocId
  const [use] = usesUnder(frame.palette, [useOfRow(row, doc)])
  const hit = use && hitFor(frame.palette, use, request)
  if (!hit) return []
  const { key, pair, after, beforeColor, afterColor, change } = hit
  const isText = 'at' in change
  return [
    {
      key,
      pair,
      place: row.place as PlaceId,
      label: use.label,
      paints: use.paints,
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

/** So many hits, beginning with number `from`. */
interface Span {
  readonly from: number
  readonly count: number
}

/** Where hits lie that a window shows, and how many of them come before it. */
function within(lie: readonly HitsThere[], { from, count }: Span) {
  let before = 0
  let skipped = 0
  const shown: HitsThere[] = []
  for (const there of lie) {
    const after = before + there[2]
    if (after <= from) skipped = after
    else if (before < from + count) shown.push(there)
    else break
    before = after
  }
  return { shown, skip: from - skipped }
}

async function hitRows(
  siteId: string,
  plan: Plan,
  lie: readonly HitsThere[],
  span: Span,
  transaction: Transaction,
): Promise<HitRow[]> {
  const { shown, skip } = within(lie, span)
  if (shown.length === 0) return []
  const { sql, bind } = whereHits(plan)
  const at = 2 + bind.length
  const rows = await select<HitRow>(
    `select r.kind, r.id, u.* ${sql} and r.no = any($${at}::bigint[]) and u.record = any($${at}::bigint[])
     order by u.record, u.n`,
    [siteId, ...bind, [...new Set(shown.map(([, record]) => record))]],
    transaction,
  )
  const there = new Map<string, HitRow[]>()
  for (const row of rows) {
    const key = `${row.place} ${row.record}`
    const own = there.get(key)
    if (own) own.push(row)
    else there.set(key, [row])
  }
  return shown
    .flatMap(([place, record]) => there.get(`${place} ${record}`) ?? [])
    .slice(skip, skip + span.count)
}

/** Some hits of a plan, given where all of them lie. */
export async function readHits(
  siteId: string,
  plan: Plan,
  lie: readonly HitsThere[],
  span: Span,
  transaction: Transaction,
): Promise<HitLine[]> {
  const rows = await hitRows(siteId, plan, lie, span, transaction)
  const frame = await loadFrame(siteId, transaction)
  return rows.flatMap((row) => lineOf(frame, row, plan.request))
}

/** Some hits of a dry run, in the order of places, pages and readers. */
export function planHits(
  actor: Actor,
  siteId: string,
  id: string,
  from: number,
  count: number,
): Promise<Result<HitWindow>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const plan = await keptPlan(actor.userId, siteId, id, transaction)
    if (!plan) return refused({ code: 'plan-gone' })
    // Where the site went on since, hits lie elsewhere.
    const lie =
      plan.revision === found.value.revision
        ? plan.lie
        : (await hitsByRecord(siteId, plan, transaction)).map((each): HitsThere => [
            each.place,
            each.record,
            each.count,
          ])
    const span = { from, count: Math.min(count, MOST_HITS) }
    return done({ from, hits: await readHits(siteId, plan, lie, span, transaction) })
  })
}
