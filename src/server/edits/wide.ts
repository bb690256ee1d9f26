import { Op, type Transaction } from 'sequelize'
import { done, refused, type Problem, type Result } from '@/core/payloads'
import { recordKey, type Frame, type Picture, type SiteRecord } from '@/core/site'
import { usesUnder, type Use } from '@/core/uses'
import {
  kindOfWide,
  type Expected,
  type Known,
  type Reach,
  type WideIntent,
  type WideKind,
} from '@/core/wide'
import type { Actor } from '../access'
import { firstOf } from '../database/first-of'
import { models } from '../database/models'
import { loadFrame, loadStates } from '../records'
import { allBands } from '../uses/bands'
import { everywhereRow } from '../uses/index-change'
import { decidedOnPages, keptUsesIn } from '../uses/kept-uses'
import { vectorText } from '../storage'
import { looseColors, reachedRecords } from '../uses/questions'
import { namesOf } from '../uses/names'
import { keepCheckpoint } from './checkpoints'
import { pictureChanges } from './picture-changes'
import { isWhole, Refused } from './becoming'
import type { Looked, RecordPlan, WidePlan, WorkWatch } from './wide-plan'
import type { WholeExchange } from './stage-exchanged'
import { runWide, type Written } from './wide-run'

/** What a kind wants to know of the whole site. */
async function knownOf(
  siteId: string,
  { asks }: Pick<WideKind<WideIntent, unknown>, 'asks'>,
  intent: WideIntent,
  transaction?: Transaction,
): Promise<Known> {
  const isAsked = asks.includes('checkpoint') && 'checkpoint' in intent
  const where = { siteId, id: isAsked ? intent.checkpoint : '' }
  const checkpoint = isAsked ? await firstOf(models().Checkpoint, { where, transaction }) : null
  return {
    ...(checkpoint ? { checkpoint: checkpoint.name } : {}),
    frame: await loadFrame(siteId, transaction),
    colors: asks.includes('colors') ? await looseColors(siteId, transaction) : [],
    pages: asks.includes('pages') ? await allBands(siteId, transaction) : [],
    ...(asks.includes('names') ? { names: await namesOf(siteId, transaction) } : {}),
  }
}

interface ReadyIntent {
  readonly value: unknown
  readonly reach: Reach
  readonly frame: Frame
}

/** The uses of some records that are asked for, by record, in the palette's colours. */
async function usesOf(
  siteId: string,
  { reach, frame }: ReadyIntent,
  records: readonly Looked[],
  transaction?: Transaction,
): Promise<ReadonlyMap<string, readonly Use[]>> {
  const byRecord = new Map<string, Use[]>()
  if (!reach.uses) return byRecord
  for (const each of await keptUsesIn(siteId, reach.uses, records, transaction)) {
    const own = byRecord.get(recordKey(each))
    if (own) own.push(each.use)
    else byRecord.set(recordKey(each), [each.use])
  }
  return new Map([...byRecord].map(([key, uses]) => [key, usesUnder(frame.palette, uses)]))
}

/** What the records are in the checkpoint that was asked for. */
async function targetsOf(
  siteId: string,
  records: readonly Looked[],
  transaction?: Transaction,
): Promise<ReadonlyMap<string, SiteRecord>> {
  const states = records.flatMap(({ kind, id, target }) =>
    target ? [{ kind, id, hash: target, no: '' }] : [],
  )
  const loaded = states.length ? await loadStates(siteId, states, transaction, false) : []
  return new Map(loaded.map((each) => [recordKey(each), each.record]))
}

/** Changes of others that are told, of all that came after a dry run. */
const MOST_TOLD = 5

/** What came after a dry run, so that its numbers no longer hold. */
async function movedOn(
  siteId: string,
  { count, revision }: Expected,
  now: number,
  transaction: Transaction,
): Promise<Problem> {
  const later = await models().Edit.findAll({
    where: { siteId, revision: { [Op.gt]: revision } },
    attributes: ['told'],
    order: [['revision', 'DESC']],
    limit: MOST_TOLD,
    transaction,
  })
  return { code: 'moved-on', expected: count, now, since: later.map(({ told }) => told) }
}

/** A record as it is planned on: of a picture with uses in base64, whose letters hang on one another, with the text of its file. */
async function asPlansSee(read: Looked['read'], uses: readonly Use[]): Promise<Looked['read']> {
  const isInFile = uses.some(({ escape, place }) => escape === 'base64' && place === 'pictures')
  if (!isInFile) return read
  const record = read()
  const text = await vectorText((record as Picture).file)
  if (text === undefined) return read
  const withText = { ...record, file: { text } } as unknown as SiteRecord
  return () => withText
}

/** What decisions on pages come to wherever they stand, where that is all that a kind asks of them. */
async function exchangeOf(
  siteId: string,
  kind: Pick<WideKind<WideIntent, unknown>, 'everywhere'>,
  { value, reach, frame }: ReadyIntent,
  transaction?: Transaction,
): Promise<WholeExchange | undefined> {
  const comesTo = kind.everywhere?.(value)
  if (!comesTo || !reach.uses) return undefined
  const decided = await decidedOnPages(siteId, reach.uses, transaction)
  const exchanges = usesUnder(frame.palette, decided).flatMap((sought) => {
    const to = comesTo(sought)
    return to ? [{ from: sought.decision, to }] : []
  })
  if (!exchanges.every(isWhole)) return undefined
  return { question: reach.uses, rows: exchanges.map(everywhereRow) }
}

function planOf(actor: Actor, siteId: string, intent: WideIntent): WidePlan<ReadyIntent> {
  const kind = kindOfWide(intent)
  return {
    async prepare(transaction) {
      const known = await knownOf(siteId, kind, intent, transaction)
      const prepared = kind.prepare(intent, known)
      if (!prepared.ok) {
        return refused({ code: 'edit-refused', problem: prepared.problem, clientId: '' })
      }
      return done({
        value: prepared.value,
        reach: kind.reach(prepared.value),
        frame: known.frame,
      })
    },
    reached: ({ reach }, after, transaction) => reachedRecords(siteId, reach, after, transaction),
    everywhere: (ready, transaction) => exchangeOf(siteId, kind, ready, transaction),
    async plan(ready, records, transaction) {
      const uses = await usesOf(siteId, ready, records, transaction)
      const targets = await targetsOf(siteId, records, transaction)
      const planOne = async ({ kind: of, id, read }: Looked): Promise<RecordPlan | undefined> => {
        const key = recordKey({ kind: of, id })
        const own = uses.get(key) ?? []
        const { changes, count } = kind.plan(ready.value, {
          kind: of,
          id,
          read: await asPlansSee(read, own),
          uses: own,
          ...(targets.has(key) ? { target: targets.get(key)! } : {}),
        })
        if (changes.length === 0) return undefined
        const picture = of === 'picture' ? (read() as Picture | undefined) : undefined
        if (!picture) return { changes, counted: count }
        const ofPicture = await pictureChanges(picture, changes)
        if (typeof ofPicture === 'string') throw new Refused(ofPicture)
        return { changes: ofPicture, counted: count }
      }
      return Promise.all(records.map(planOne))
    },
    async conclude({ value }, { records, counted }, site, transaction) {
      if (records === 0 || (counted === 0 && !kind.always)) {
        return refused({ code: 'nothing-to-sweep' })
      }
      const expects = kind.expects?.(intent)
      if (expects && expects.count !== counted) {
        return refused(await movedOn(siteId, expects, counted, transaction))
      }
      const told = kind.describe(value, counted).slice(0, 400)
      if (kind.checkpoint) await keepCheckpoint(site, `Before: ${told}`, transaction)
      return done({
        clientId: null,
        actorId: actor.userId,
        kind: 'do',
        target: null,
        standing: 'live',
        told,
      })
    },
  }
}

/** Carries a wide edit out: all of it as one edit, or nothing. */
export function carryOutWide(
  actor: Actor,
  siteId: string,
  base: number | 'any',
  intent: WideIntent,
  watch?: WorkWatch,
): Promise<Result<Written>> {
  return runWide(actor, siteId, base, planOf(actor, siteId, intent), watch)
}
