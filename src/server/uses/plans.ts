import type { Transaction } from 'sequelize'
import type { ExchangeAsked } from '@/core/exchange'
import type { DryRun, HitCells, HitLine } from '@/core/payloads'
import { canonicalJson } from '@/core/site'
import type { CellTable, SweepRequest } from '@/core/sweep'
import type { PlaceId } from '@/core/uses'
import type { UseQuestion } from '@/core/wide'
import { select, tell } from '../database/sets'
import { hashOf } from '../records/stored'
import { whereUses } from './questions'
import { readersVersion } from './rows'

/** Uses that a sweep would leave as they are, though it looks for them: they are that already. */
export interface Same {
  readonly place: PlaceId
  readonly written: string
  readonly slot: string
  readonly shade: string
  readonly bindable: boolean
}

/** Hits counted, in the order of places, pages and readers, and the numbers of the records that their documents are. */
export interface CountedHits {
  readonly table: HitCells
  readonly records: Readonly<Record<string, string>>
}

/** A record that a document is, by its number and as people call it. */
export interface TitledRecord {
  readonly no: string
  readonly title: string
}

/** What hits were counted to, with the records that their documents are. */
export function titledHits(table: CellTable, seen: ReadonlyMap<string, TitledRecord>): CountedHits {
  const titleOf = (doc: string) =>
    doc === 'frame' ? 'what all pages share' : (seen.get(doc)?.title ?? doc)
  const records = Object.fromEntries([...seen].map(([doc, { no }]) => [doc, no]))
  return { table: { ...table, titles: table.docs.map(titleOf) }, records }
}

/** What a dry run came to, as it is kept. */
interface Counted {
  readonly hits: CountedHits
}

/** A dry run of colours as it is kept: what was asked, and what holds for all windows on it. */
export interface ColorPlan extends Counted {
  readonly of: 'colors'
  readonly request: SweepRequest
  readonly question: UseQuestion
  readonly same: readonly Same[]
}

/** A dry run of texts: words, typefaces, pictures, links, addresses. */
export interface TextPlan extends Counted {
  readonly of: 'texts'
  readonly asked: ExchangeAsked
}

export type Plan = ColorPlan | TextPlan

/** A hit of a plan, told only where it is asked for. */
export interface PlannedHit {
  readonly place: PlaceId
  readonly doc: string
  readonly lines: () => HitLine[]
}

/** The uses of a plan, as conditions on `u`; values are counted from `$2`. */
export function whereHits({ question, same }: Pick<ColorPlan, 'question' | 'same'>) {
  const { sql, bind } = whereUses(question, 2)
  const at = 2 + bind.length
  const not = `(u.place, u.written, coalesce(u.slot, ''), coalesce(u.shade, ''), u.bindable) not in
    (select * from unnest($${at}::text[], $${at + 1}::text[], $${at + 2}::text[], $${at + 3}::text[],
       $${at + 4}::boolean[]))`
  const skipped = same.length
    ? [
        same.map(({ place }) => place),
        same.map(({ written }) => written),
        same.map(({ slot }) => slot),
        same.map(({ shade }) => shade),
        same.map(({ bindable }) => bindable),
      ]
    : []
  return {
    sql: `u.site_id = $1 and ${sql} ${same.length ? `and ${not}` : ''}`,
    bind: [...bind, ...skipped],
  }
}

/** Plans that are kept for each person and site; older ones go. */
const MOST_PLANS = 20

/** Raised whenever plans are kept in another shape: those of before are not taken up. */
const SHAPE = 4

/** What one person asks of a site, read by the same readers. */
const questionId = (
  siteId: string,
  userId: string,
  request: SweepRequest | ExchangeAsked,
): string =>
  hashOf(canonicalJson({ siteId, userId, request, readersVersion, shape: SHAPE })).slice(0, 32)

/** The same question about the same state of a site is one plan. */
const planId = (question: string, revision: number) => `${question}-${revision}`

/** How long a plan counts as young once it was asked for. */
const YOUNG = "interval '1 minute'"

/** What was answered to the same question about the state in which a site is now. */
export async function keptAnswer(
  siteId: string,
  userId: string,
  request: SweepRequest | ExchangeAsked,
): Promise<DryRun | undefined> {
  const [row] = await select<{ id: string; answer: string; aged: boolean }>(
    `select p.id, p.answer, p.created_at < now() - ${YOUNG} as aged
     from sites s join plans p on p.id = $1 || '-' || s.revision
     where s.id = $2 and p.actor_id = $3`,
    [questionId(siteId, userId, request), siteId, userId],
  )
  // A plan that is asked for again counts as young.
  if (row?.aged) await tell('update plans set created_at = now() where id = $1', [row.id])
  return row && (JSON.parse(row.answer) as DryRun)
}

/** Keeps a plan and what is answered, and tells its id with that. */
export async function keepPlan(
  siteId: string,
  userId: string,
  request: SweepRequest | ExchangeAsked,
  plan: Plan,
  told: Omit<DryRun, 'plan'>,
): Promise<DryRun> {
  const { revision } = told
  const id = planId(questionId(siteId, userId, request), revision)
  const answer: DryRun = { plan: id, ...told }
  // The one that comes is not among those that are counted.
  await tell(
    `with gone as (
       delete from plans where site_id = $2 and actor_id = $3 and id not in (
         select id from plans where site_id = $2 and actor_id = $3 and id <> $1
         order by created_at desc limit ${MOST_PLANS - 1})
       and id <> $1)
     insert into plans (id, site_id, actor_id, revision, intent, answer)
     values ($1, $2, $3, $4, $5, $6) on conflict (id) do nothing`,
    [id, siteId, userId, revision, JSON.stringify(plan), JSON.stringify(answer)],
  )
  return answer
}

export type KeptPlan = Plan & { readonly revision: number }

/** A dry run that is kept; undefined where it is not, or is somebody else's. */
export async function keptPlan(
  userId: string,
  siteId: string,
  id: string,
  transaction?: Transaction,
): Promise<KeptPlan | undefined> {
  const [row] = await select<{ intent: string; revision: number }>(
    'select intent, revision from plans where id = $1 and site_id = $2 and actor_id = $3',
    [id, siteId, userId],
    transaction,
  )
  return row && { ...(JSON.parse(row.intent) as Plan), revision: row.revision }
}
