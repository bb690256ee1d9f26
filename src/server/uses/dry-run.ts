import { randomUUID } from 'node:crypto'
import type { Transaction } from 'sequelize'
import { writeHex } from '@/core/color'
import { decisionWords } from '@/core/edit'
import {
  done,
  refused,
  type DryRun,
  type HitCount,
  type HitLine,
  type HitWindow,
  type Result,
} from '@/core/payloads'
import { isBound, siteDocs, type ColorDecision, type DocId, type Frame } from '@/core/site'
import { hitFor, type Hit, type SweepRequest } from '@/core/sweep'
import { placeIds, usesUnder, type PlaceId } from '@/core/uses'
import { questionOf, type UseQuestion } from '@/core/wide'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select, tell } from '../database/sets'
import { loadFrame } from '../records'
import { looseColors, whereUses } from './questions'
import { useOfRow, type UseRow } from './rows'

/** Uses that become the same by a sweep, whatever they are in. */
type Alike = Pick<
  UseRow,
  'place' | 'slot' | 'shade' | 'written' | 'css' | 'bindable' | 'paints'
> & {
  readonly is_text: boolean
  readonly count: number
}

/** Uses that a sweep would leave as they are, though it looks for them: they are that already. */
interface Same {
  readonly written: string
  readonly slot: string
  readonly shade: string
  readonly bindable: boolean
}

/** A dry run as it is kept: what was asked, and what of it holds for all windows on it. */
interface Plan {
  readonly request: SweepRequest
  readonly question: UseQuestion
  readonly same: readonly Same[]
}

const bindsOf = ({ use, becomesBound }: Pick<Hit, 'use' | 'becomesBound'>) =>
  (Number(becomesBound) - Number(isBound(use.decision))) as -1 | 0 | 1

/** The uses that are asked for, in groups that become the same. */
function alikeUses(siteId: string, question: UseQuestion, transaction: Transaction) {
  const { sql, bind } = whereUses(question, 2)
  return select<Alike>(
    `select u.place, u.slot, u.shade, u.written, u.css, u.bindable, u.paints,
       u.start is not null as is_text, count(*)::int as count
     from uses u ${question.page ? 'join records r on r.no = u.record' : ''}
     where u.site_id = $1 and ${sql} group by 1, 2, 3, 4, 5, 6, 7, 8`,
    [siteId, ...bind],
    transaction,
  )
}

function hitOf(frame: Frame, alike: Alike, request: SweepRequest): Hit | undefined {
  const row = { ...alike, path: '[]', owner: '{}', start: alike.is_text ? 0 : null, label: '' }
  const filled = {
    ...row,
    n: 0,
    color: null,
    object: '',
    property: '',
    state: null,
    context: null,
    context_at: null,
  }
  const [use] = usesUnder(frame.palette, [useOfRow(filled, 'frame')])
  return use && hitFor(frame.palette, use, request)
}

const sameOf = ({ written, slot, shade, bindable }: Alike): Same => ({
  written,
  slot: slot ?? '',
  shade: shade ?? '',
  bindable,
})

function countsOf(hits: ReadonlyArray<readonly [Alike, Hit]>): HitCount[] {
  return placeIds.flatMap((place) => {
    const own = hits.filter(([alike]) => alike.place === place)
    const sum = (which: (hit: Hit) => boolean) =>
      own.reduce((all, [{ count }, hit]) => (which(hit) ? all + count : all), 0)
    const count = sum(() => true)
    const bind = sum((hit) => bindsOf(hit) > 0)
    const loosen = sum((hit) => bindsOf(hit) < 0)
    return count ? [{ place, count, bind, loosen }] : []
  })
}

/** The uses of a plan, as rows of `u` and `r`; values are counted from `$2`. */
function whereHits({ question, same }: Plan) {
  const { sql, bind } = whereUses(question, 2)
  const at = 2 + bind.length
  const not = `(u.written, coalesce(u.slot, ''), coalesce(u.shade, ''), u.bindable) not in
    (select * from unnest($${at}::text[], $${at + 1}::text[], $${at + 2}::text[], $${at + 3}::boolean[]))`
  const skipped = same.length
    ? [
        same.map(({ written }) => written),
        same.map(({ slot }) => slot),
        same.map(({ shade }) => shade),
        same.map(({ bindable }) => bindable),
      ]
    : []
  return {
    sql: `from uses u join records r on r.no = u.record
          where u.site_id = $1 and ${sql} ${same.length ? `and ${not}` : ''}`,
    bind: [...bind, ...skipped],
  }
}

async function one(sql: string, bind: Parameters<typeof select>[1], transaction: Transaction) {
  const [row] = await select<{ count: number }>(sql, bind, transaction)
  return row!.count
}

/**
 * What a sweep would do, counted, without doing anything. The plan stays here
 * under an id; its hits are asked for some at a time.
 */
export function dryRun(
  actor: Actor,
  siteId: string,
  request: SweepRequest,
): Promise<Result<DryRun>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const frame = await loadFrame(siteId, transaction)
    const question = questionOf(request, await looseColors(siteId, transaction))
    const groups = await alikeUses(siteId, question, transaction)
    const hits = groups.map((alike) => [alike, hitOf(frame, alike, request)] as const)
    const taken = hits.flatMap(([alike, hit]) => (hit ? [[alike, hit] as const] : []))
    const same = hits.flatMap(([alike, hit]) => (hit ? [] : [sameOf(alike)]))
    const plan: Plan = { request, question, same }
    const { sql, bind } = whereHits(plan)
    const pages = await one(
      `select count(distinct u.record)::int as count ${sql} and r.kind = 'page'`,
      [siteId, ...bind],
      transaction,
    )
    const looseBefore = await one(
      'select count(*)::int as count from uses where site_id = $1 and color is not null',
      [siteId],
      transaction,
    )
    const id = randomUUID()
    const { revision } = found.value
    const kept = JSON.stringify(plan)
    await keepPlan(id, siteId, actor.userId, revision, kept)
    const places = countsOf(taken)
    const count = places.reduce((all, each) => all + each.count, 0)
    return done({ plan: id, revision, count, pages, looseBefore, places })
  })
}

/** Plans that are kept for each person and site; older ones go. */
const MOST_PLANS = 20

async function keepPlan(
  id: string,
  siteId: string,
  userId: string,
  revision: number,
  plan: string,
): Promise<void> {
  await tell(
    'insert into plans (id, site_id, actor_id, revision, intent) values ($1, $2, $3, $4, $5)',
    [id, siteId, userId, revision, plan],
  )
  await tell(
    `delete from plans where site_id = $1 and actor_id = $2 and id not in (
       select id from plans where site_id = $1 and actor_id = $2
       order by created_at desc limit ${MOST_PLANS})`,
    [siteId, userId],
  )
}

/** A dry run that is kept; undefined where it is not, or is somebody else's. */
export async function keptPlan(
  actor: Actor,
  siteId: string,
  id: string,
  transaction?: Transaction,
): Promise<Plan | undefined> {
  const [row] = await select<{ intent: string }>(
    'select intent from plans where id = $1 and site_id = $2 and actor_id = $3',
    [id, siteId, actor.userId],
    transaction,
  )
  return row && (JSON.parse(row.intent) as Plan)
}

type HitRow = UseRow & { readonly kind: string; readonly id: string }

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
      before: isText ? use.text : decisionWords(use.decision, docs),
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
    const plan = await keptPlan(actor, siteId, id, transaction)
    if (!plan) return refused({ code: 'plan-gone' })
    const frame = await loadFrame(siteId, transaction)
    const { sql, bind } = whereHits(plan)
    const at = 2 + bind.length
    const rows = await select<HitRow>(
      `select r.kind, r.id, u.* ${sql}
       order by array_position($${at}::text[], u.place), r.position nulls first, r.id, u.n
       offset $${at + 1} limit $${at + 2}`,
      [siteId, ...bind, placeIds, from, Math.min(count, MOST_HITS)],
      transaction,
    )
    return done({ from, hits: rows.flatMap((row) => lineOf(frame, row, plan.request)) })
  })
}
