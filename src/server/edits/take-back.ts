import type { Transaction } from 'sequelize'
import { applyChanges, isStretch, takenBack, type Change } from '@/core/changes'
import { readSvgColors } from '@/core/markup'
import { done, refused, type Result } from '@/core/payloads'
import { recordKey, type RecordRef, type SiteRecord } from '@/core/site'
import { usesIn } from '@/core/uses'
import type { Actor } from '../access'
import { firstOf } from '../database/first-of'
import { models } from '../database/models'
import { select } from '../database/sets'
import { loadStates, type RecordState } from '../records'
import { changesOf, HistoryClosed, recordsOfEdit } from './edit-records'
import type { Looked, RecordPlan, WidePlan, WorkWatch } from './wide-plan'
import { runWide, type Written } from './wide-run'

/** Uses that are told where somebody changed them since. */
const MOST_TOLD = 8

/** What of an edit can be taken back, gathered record by record. */
interface Gathered {
  /** The state before the edit, under the id of the checkpoint that was kept of it. */
  readonly snapshot: string
  readonly told: string
  /** What was changed since, by record: one that is planned again is told again. */
  readonly touched: Map<string, Touched>
}

interface Touched {
  readonly count: number
  readonly labels: readonly string[]
}

/** A checkpoint of the state just before an edit, such as a sweep keeps of itself. */
async function checkpointOf(siteId: string, revision: number, transaction: Transaction) {
  const [row] = await select<{ id: string }>(
    'select id from checkpoints where site_id = $1 and revision = $2 - 1 limit 1',
    [siteId, revision],
    transaction,
  )
  return row?.id
}

/** Some records as they were before the edit. */
async function recordsBefore(
  siteId: string,
  snapshot: string,
  refs: readonly RecordRef[],
  transaction?: Transaction,
): Promise<ReadonlyMap<string, SiteRecord>> {
  const states = await select<RecordState>(
    `select '' as no, kind, id, hash from snapshot_records
     where snapshot = $1 and (kind, id) in (select * from unnest($2::text[], $3::text[]))`,
    [snapshot, refs.map(({ kind }) => kind), refs.map(({ id }) => id)],
    transaction,
  )
  const loaded = await loadStates(siteId, states, transaction, false)
  return new Map(loaded.map((each) => [recordKey(each), each.record]))
}

/** What a change that stays is called: the use that it was made at. */
function labelOf(ref: RecordRef, before: SiteRecord, change: Change): string {
  const path = change.path.join('/')
  const use = usesIn(ref, before, readSvgColors).find(
    (each) => each.path.join('/') === path && (!isStretch(change) || each.start === change.at),
  )
  return use?.label ?? `${ref.kind} ${ref.id}`
}

function planRecord(
  { kind, id, read }: Looked,
  before: SiteRecord | undefined,
  changes: readonly Change[],
  { touched }: Gathered,
): RecordPlan | undefined {
  const ref = { kind, id }
  const record = read()
  if (!record || !before) {
    touched.set(recordKey(ref), { count: changes.length, labels: [`${kind} ${id}, which is gone`] })
    return undefined
  }
  const back = takenBack(changes, applyChanges(before, changes), record)
  touched.set(recordKey(ref), {
    count: back.touched.length,
    labels: back.touched.slice(0, MOST_TOLD).map((change) => labelOf(ref, before, change)),
  })
  return back.changes.length ? { changes: back.changes, counted: back.changes.length } : undefined
}

function planOf(
  actor: Actor,
  siteId: string,
  revision: number,
  leaves: boolean,
): WidePlan<Gathered> {
  return {
    async prepare(transaction) {
      const edit = await firstOf(models().Edit, { where: { siteId, revision }, transaction })
      const snapshot = edit && (await checkpointOf(siteId, revision, transaction))
      if (edit?.kind !== 'do' || edit.standing !== 'live' || !snapshot) {
        return refused({ code: 'not-kept', told: edit?.told ?? '' })
      }
      return done({ snapshot, told: edit.told, touched: new Map() })
    },
    reached: (_ready, after, transaction) => recordsOfEdit(siteId, revision, after, transaction),
    async plan(gathered, records, transaction) {
      const forth = await changesOf(siteId, revision, 'forth', transaction, records)
      if (forth === 'closed') throw new HistoryClosed()
      const before = await recordsBefore(siteId, gathered.snapshot, records, transaction)
      const byRecord = new Map(forth.map((each) => [recordKey(each), each.changes]))
      return records.map((looked) => {
        const key = recordKey(looked)
        const changes = byRecord.get(key)
        return changes && planRecord(looked, before.get(key), changes, gathered)
      })
    },
    conclude({ told, touched }, { counted }) {
      const all = [...touched.values()]
      const count = all.reduce((sum, each) => sum + each.count, 0)
      if (count > 0 && !leaves) {
        const labels = all.flatMap((each) => each.labels).slice(0, MOST_TOLD)
        return Promise.resolve(refused({ code: 'touched', count, of: counted, labels }))
      }
      if (counted === 0) return Promise.resolve(refused({ code: 'nothing-to-sweep' }))
      const but = count > 0 ? `, but for ${count} changed since` : ''
      return Promise.resolve(
        done({
          clientId: null,
          actorId: actor.userId,
          kind: 'do' as const,
          target: null,
          standing: 'live' as const,
          told: `Took back: ${told}${but}`.slice(0, 400),
        }),
      )
    },
  }
}

/**
 * Takes an edit back that others came after, as a new edit. What somebody changed since of what it
 * did stays as it is: with `leaves` the rest is taken back, without it nothing is, and they are told.
 */
export async function takeBack(
  actor: Actor,
  siteId: string,
  base: number | 'any',
  { revision, leaves }: { readonly revision: number; readonly leaves: boolean },
  watch?: WorkWatch,
): Promise<Result<Written>> {
  try {
    return await runWide(actor, siteId, base, planOf(actor, siteId, revision, leaves), watch)
  } catch (error) {
    if (error instanceof HistoryClosed) return refused({ code: 'history-closed' })
    throw error
  }
}
