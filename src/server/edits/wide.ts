import type { Transaction } from 'sequelize'
import { done, refused, type Result, type Saved } from '@/core/payloads'
import type { Frame, SiteRecord } from '@/core/site'
import { usesUnder, type Use } from '@/core/uses'
import { kindOfWide, type Known, type Reach, type WideIntent, type WideKind } from '@/core/wide'
import type { Actor } from '../access'
import { models } from '../database/models'
import { loadFrame, loadStates } from '../records'
import { allBands } from '../uses/bands'
import { keptUsesIn } from '../uses/kept-uses'
import { looseColors, reachedRecords } from '../uses/questions'
import { keepCheckpoint } from './checkpoints'
import { runWide, type Looked, type RecordPlan, type WidePlan, type WorkWatch } from './wide-run'

/** What a kind wants to know of the whole site. */
async function knownOf(
  siteId: string,
  { asks }: Pick<WideKind<WideIntent, unknown>, 'asks'>,
  transaction?: Transaction,
): Promise<Known> {
  return {
    frame: await loadFrame(siteId, transaction),
    colors: asks.includes('colors') ? await looseColors(siteId, transaction) : [],
    pages: asks.includes('pages') ? await allBands(siteId, transaction) : [],
  }
}

interface ReadyIntent {
  readonly value: unknown
  readonly reach: Reach
  readonly frame: Frame
}

const keyOf = ({ kind, id }: { readonly kind: string; readonly id: string }) => `${kind}/${id}`

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
    const own = byRecord.get(keyOf(each))
    if (own) own.push(each.use)
    else byRecord.set(keyOf(each), [each.use])
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
  return new Map(loaded.map((each) => [keyOf(each), each.record]))
}

function planOf(actor: Actor, siteId: string, intent: WideIntent): WidePlan<ReadyIntent> {
  const kind = kindOfWide(intent)
  return {
    async prepare(transaction) {
      const known = await knownOf(siteId, kind, transaction)
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
    async plan(ready, records, transaction) {
      const uses = await usesOf(siteId, ready, records, transaction)
      const targets = await targetsOf(siteId, records, transaction)
      return records.map(({ kind: of, id, record }): RecordPlan | undefined => {
        const key = keyOf({ kind: of, id })
        const { changes, count } = kind.plan(ready.value, {
          kind: of,
          id,
          record,
          uses: uses.get(key) ?? [],
          ...(targets.has(key) ? { target: targets.get(key)! } : {}),
        })
        return changes.length ? { changes, counted: count } : undefined
      })
    },
    async conclude({ value }, { records, counted }, site, transaction) {
      if (records === 0 || (counted === 0 && !kind.always)) {
        return refused({ code: 'nothing-to-sweep' })
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
export async function carryOutWide(
  actor: Actor,
  siteId: string,
  base: number | 'any',
  intent: WideIntent,
  watch?: WorkWatch,
): Promise<Result<Saved & { readonly changed: number }>> {
  if (intent.type === 'restore') {
    const where = { siteId, id: intent.checkpoint }
    const checkpoint = await models().Checkpoint.findOne({ where })
    if (!checkpoint) return refused({ code: 'not-found' })
    const named = { ...intent, name: checkpoint.name }
    return runWide(actor, siteId, base, planOf(actor, siteId, named), watch)
  }
  return runWide(actor, siteId, base, planOf(actor, siteId, intent), watch)
}
