import type { Transaction } from 'sequelize'
import { kindOfExchange, type ExchangeAsked } from '@/core/exchange'
import { done, refused, firstHits, mostFirstCells, type DryRun, type Result } from '@/core/payloads'
import { cellsOf, totalOf, type SweepRequest } from '@/core/sweep'
import { questionOf } from '@/core/wide'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select, showsPicture } from '../database/sets'
import { loadFrame } from '../records'
import { colorHits } from './color-hits'
import { countHits } from './count-hits'
import { namesOf } from './names'
import { readHits } from './plan-hits'
import {
  keepPlan,
  keptAnswer,
  type ColorPlan,
  type Plan,
  type PlannedHit,
  type TextPlan,
} from './plans'
import { looseColors } from './questions'
import { countTexts, textHits } from './text-hits'

/** The documents that show some pictures. */
async function docsShowing(
  siteId: string,
  pictures: readonly string[],
  transaction: Transaction,
): Promise<string[]> {
  if (pictures.length === 0) return []
  const rows = await select<{ kind: string; id: string }>(
    `select r.kind, r.id from records r join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind in ('frame', 'page')
       and exists (select from unnest($2::text[]) as i (id)
         where ${showsPicture('i.id')})`,
    [siteId, [...new Set(pictures)]],
    transaction,
  )
  return rows.map(({ kind, id }) => (kind === 'frame' ? 'frame' : id))
}

interface WholeSite {
  readonly revision: number
  readonly pages: number
  /** Uses outside of the palette that are tied to no slot. */
  readonly loose: number
}

/** A site in numbers. */
async function countSite(
  siteId: string,
  transaction?: Transaction,
): Promise<WholeSite | undefined> {
  const [site] = await select<WholeSite>(
    `select revision, (select count(*)::int from records where site_id = $1 and kind = 'page') as pages,
       (select coalesce(sum(count), 0)::int from use_groups
        where site_id = $1 and color is not null and place <> 'palette') as loose
     from sites where id = $1`,
    [siteId],
    transaction,
  )
  return site
}

/** One moment of a site. */
interface Moment {
  readonly transaction: Transaction
  /** The site in numbers. */
  readonly counted: () => Promise<WholeSite>
}

/** On how many pages what some documents decide is seen: header, footer, themes and custom CSS are on every one. */
function pagesUnder({ pages }: Pick<WholeSite, 'pages'>, docs: readonly string[]): number {
  const own = new Set(docs)
  own.delete('')
  return own.has('frame') ? pages : own.size
}

/** What a dry run comes to, and how its hits in some records are read. */
interface Made {
  readonly plan: Plan
  readonly told: Omit<DryRun, 'plan' | 'revision' | 'first' | 'cells'>
  readonly read: (records: readonly string[]) => Promise<PlannedHit[]>
}

/** What a sweep would do, counted. */
async function think(
  siteId: string,
  request: SweepRequest,
  { transaction, counted }: Moment,
): Promise<Made> {
  const frame = await loadFrame(siteId, transaction)
  const question = questionOf(request, await looseColors(siteId, transaction))
  const { hits, same } = await countHits(siteId, frame, request, question, transaction)
  const site = await counted()
  const cells = cellsOf(hits.table)
  const pictures = cells.filter(({ place }) => place === 'pictures').map(({ doc }) => doc)
  const onPages = [
    ...cells.filter(({ place }) => place !== 'pictures').map(({ doc }) => doc),
    ...(await docsShowing(siteId, pictures, transaction)),
  ]
  const plan: ColorPlan = { of: 'colors', request, question, same, hits }
  return {
    plan,
    told: {
      count: totalOf(cells).count,
      pages: pagesUnder(site, onPages),
      looseBefore: site.loose,
    },
    read: (records) => colorHits(siteId, plan, records, transaction, frame),
  }
}

/** A dry run as it was answered before, or made; its hits are asked for some at a time. */
async function planned(
  actor: Actor,
  siteId: string,
  request: SweepRequest | ExchangeAsked,
  make: (moment: Moment) => Promise<Result<Made>>,
): Promise<Result<DryRun>> {
  const [may, known] = await Promise.all([
    siteFor(actor, 'read', siteId),
    keptAnswer(siteId, actor.userId, request),
  ])
  if (!may.ok) return may
  if (known) return done(known)
  // By another connection, begun before the moment is; nobody misses what it came to where that is refused.
  const beside = countSite(siteId)
  beside.catch(() => undefined)
  const ran = await atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const { revision } = found.value
    const counted = async () => {
      const site = await beside
      // Where somebody changed the site meanwhile, the moment itself is asked.
      return site?.revision === revision ? site : (await countSite(siteId, transaction))!
    }
    const made = await make({ transaction, counted })
    if (!made.ok) return made
    const { plan, told, read } = made.value
    const { table } = plan.hits
    const first = await readHits(plan.hits, { from: 0, count: firstHits, filter: {} }, read)
    const cells = table.cells.length > mostFirstCells ? {} : { cells: table }
    return done({ plan, answer: { revision, ...told, ...cells, first } })
  })
  if (!ran.ok) return ran
  const { plan, answer } = ran.value
  return done(await keepPlan(siteId, actor.userId, request, plan, answer))
}

/**
 * What a sweep would do, without doing anything. The plan stays here under an
 * id; its hits are asked for some at a time. Who asks the same again before
 * anything changed is given the same plan.
 */
export const dryRun = (
  actor: Actor,
  siteId: string,
  request: SweepRequest,
): Promise<Result<DryRun>> =>
  planned(actor, siteId, request, async (moment) => done(await think(siteId, request, moment)))

/** Found places that stay as they are and are told one by one; others are counted. */
const MOST_UNFIT = 20

/** What an exchange of words, typefaces, pictures, links or addresses would do, in the same way. */
export const dryExchange = (
  actor: Actor,
  siteId: string,
  asked: ExchangeAsked,
): Promise<Result<DryRun>> =>
  planned(actor, siteId, asked, async ({ transaction, counted }) => {
    const known = await namesOf(siteId, transaction)
    const fault = kindOfExchange(asked).faultOf(asked, known)
    if (fault) return refused({ code: 'edit-refused', problem: fault, clientId: '' })
    const { hits, unfit } = await countTexts(siteId, asked, known, transaction)
    const docs = cellsOf(hits.table).map(({ doc, place }) => (place === 'pictures' ? '' : doc))
    const plan: TextPlan = { of: 'texts', asked, hits }
    return done({
      plan,
      told: {
        count: totalOf(cellsOf(hits.table)).count,
        pages: pagesUnder(await counted(), docs),
        ...(unfit.length
          ? { unfit: { count: unfit.length, first: unfit.slice(0, MOST_UNFIT) } }
          : {}),
      },
      read: (records) => textHits(siteId, plan, records, transaction),
    })
  })
