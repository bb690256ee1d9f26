import type { Transaction } from 'sequelize'
import type { Change } from '@/core/changes'
import type { Landed } from '@/core/payloads'
import { readChanges, type RecordChange, type RecordKind } from '@/core/site'
import { reversed } from '@/core/changes'
import { select } from '../database/sets'

/** Most changes, in UTF-16 units, that are told with a revision; what is beyond is named and asked for. */
const MOST_TOLD = 60_000

/** Most edits that are told one by one. */
const MOST_ENTRIES = 300

/** What is told of a list that may be too long. */
export const entriesOrFar = (entries: Landed[] | 'far') =>
  entries === 'far' ? { entries: [], far: true as const } : { entries }

interface EditRow {
  readonly revision: number
  readonly client_id: string | null
  readonly actor_id: string
  readonly kind: 'do' | 'undo' | 'redo'
  readonly target: number | null
  readonly told: string
}
interface ChangesRow {
  readonly revision: number
  readonly kind: RecordKind
  readonly id: string
  readonly schema: number
  readonly changes: string
}

/** How much of an edit is told, by record; changes that cannot be carried over are named alone. */
function tellRecords(
  rows: readonly ChangesRow[],
  way: 'forth' | 'back',
  held?: ReadonlySet<string>,
) {
  const records: RecordChange[] = []
  const others: string[] = []
  let told = 0
  for (const { kind, id, schema, changes } of way === 'forth' ? rows : [...rows].reverse()) {
    const isHeld = kind !== 'page' || !held || held.has(id)
    told += changes.length
    const isFew = kind === 'frame' || held ? isHeld : told <= MOST_TOLD
    const carried = isFew ? readChanges(kind, schema, JSON.parse(changes) as Change[]) : undefined
    if (carried) records.push({ kind, id, changes: way === 'forth' ? carried : reversed(carried) })
    else others.push(`${kind}/${id}`)
  }
  return { records, others: others.length > 200 ? ('many' as const) : others }
}

/**
 * What happened to a site since a revision, edit by edit. Changes of pages are
 * told as far as they are few; the rest is named. Whoever says which pages they
 * hold (`held`) is told all about these, and of the others only which they are.
 */
export async function entriesSince(
  siteId: string,
  since: number,
  transaction?: Transaction,
  held?: readonly string[],
): Promise<Landed[] | 'far'> {
  const edits = await select<EditRow>(
    `select revision, client_id, actor_id, kind, target, told from edits
     where site_id = $1 and revision > $2 order by revision limit ${MOST_ENTRIES + 1}`,
    [siteId, since],
    transaction,
  )
  if (edits.length === 0) return []
  if (edits.length > MOST_ENTRIES) return 'far'
  const sources = edits.map(({ revision, target }) => target ?? revision)
  const rows = await select<ChangesRow>(
    `select revision, kind, id, schema, changes from edit_records
     where site_id = $1 and revision = any($2::int[]) order by revision, n`,
    [siteId, [...new Set(sources)]],
    transaction,
  )
  const byRevision = new Map<number, ChangesRow[]>()
  for (const row of rows) {
    const own = byRevision.get(row.revision)
    if (own) own.push(row)
    else byRevision.set(row.revision, [row])
  }
  const pages = held && new Set(held)
  return edits.map(({ revision, client_id: clientId, actor_id: actor, kind, told }, i) => ({
    revision,
    ...(clientId === null ? {} : { clientId }),
    actor,
    kind,
    told,
    ...tellRecords(byRevision.get(sources[i]!) ?? [], kind === 'undo' ? 'back' : 'forth', pages),
  }))
}
