import type { Transaction } from 'sequelize'
import type { ExchangeAsked } from '@/core/exchange'
import type { DryRun, HitLine } from '@/core/payloads'
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
  readonly table: CellTable
  readonly records: Readonly<Record<string, string>>
}

/** What a dry run came to, as it is kept. */
interface Counted {
  readonly hits: CountedHits
  readonly answer: Omit<DryRun, 'first' | 'cells'>
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

/** The uses of a plan, as rows of `u` and `r`; values are counted from `$2`. */
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
    sql: `from uses u join records r on r.no = u.record
          where u.site_id = $1 and ${sql} ${same.length ? `and ${not}` : ''}`,
    bind: [...bind, ...skipped],
  }
}

/** Plans that are kept for each person and site; older ones go. */
const MOST_PLANS = 20

/** Raised whenever plans are kept in another shape: those of before are not taken up. */
const SHAPE = 3

/** The same question of the same person about the same state of a site, read by the same readers, is one plan. */
export const planId = (
  siteId: string,
  userId: string,
  revision: number,
  request: SweepRequest | ExchangeAsked,
): string =>
  hashOf(canonicalJson({ siteId, userId, revision, request, readersVersion, shape: SHAPE })).slice(
    0,
    32,
  )

export async function keepPlan(
  id: string,
  siteId: string,
  userId: string,
  revision: number,
  plan: Plan,
): Promise<void> {
  // The one that comes is not among those that are counted.
  await tell(
    `with gone as (
       delete from plans where site_id = $2 and actor_id = $3 and id not in (
         select id from plans where site_id = $2 and actor_id = $3 and id <> $1
         order by created_at desc limit ${MOST_PLANS - 1})
       and id <> $1)
     insert into plans (id, site_id, actor_id, revision, intent) values ($1, $2, $3, $4, $5)
     on conflict (id) do nothing`,
    [id, siteId, userId, revision, JSON.stringify(plan)],
  )
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

/** A plan that is asked for again counts as young. */
export const renewPlan = (id: string): Promise<void> =>
  tell('update plans set created_at = now() where id = $1', [id])
