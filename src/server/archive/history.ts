import type { Transaction } from 'sequelize'
import * as z from 'zod'
import { allRecordKinds, readChanges, textFault, type RecordKind } from '@/core/site'
import type { Actor } from '../access'
import { insertRows, select } from '../database/sets'
import { editRecordColumns } from '../edits/edit-records'
import { itemsOf } from './json-items'
import { ArchiveRefused } from './refused'

/** Highest revision of a site that is taken: far below what its column holds, so that edits can follow. */
const mostRevision = 1_000_000_000

const path = z.array(z.union([z.string().max(200), z.number().int().min(0)])).max(60)
const change = z.union([
  z.strictObject({
    path,
    at: z.number().int().min(0),
    out: z.union([z.string(), z.array(z.json())]),
    in: z.union([z.string(), z.array(z.json())]),
  }),
  z.strictObject({ path, from: z.json().optional(), to: z.json().optional() }),
])

/** An edit of the history, or a step back or forth in it, with what it changed by record. */
const entry = z.strictObject({
  revision: z.number().int().min(1).max(mostRevision),
  kind: z.enum(['do', 'undo', 'redo']),
  target: z.number().int().min(1).nullable(),
  standing: z.enum(['live', 'undone', 'abandoned', 'closed']).nullable(),
  told: z.string().max(2000),
  at: z.iso
    .datetime({ offset: true })
    .transform((text) => new Date(text))
    .refine((time) => time.getTime() >= 0 && time.getFullYear() < 10_000, 'not a time of an edit')
    .transform((time) => time.toISOString()),
  records: z.array(
    z.strictObject({
      kind: z.enum(allRecordKinds as [RecordKind, ...RecordKind[]]),
      id: z.string().regex(/^[a-z][a-z0-9-]{0,47}$/),
      schema: z.number().int().min(1),
      changes: z.array(change),
    }),
  ),
})
/** Most entries of a history; a person who works all day makes some hundreds. */
const mostEntries = 1_000_000

/** An entry as it is kept: the changes of each record are one text, as in the database. */
type Kept = Omit<z.infer<typeof entry>, 'records'> & {
  readonly records: ReadonlyArray<
    Omit<z.infer<typeof entry>['records'][number], 'changes'> & { readonly changes: string }
  >
}
export type ArchivedHistory = readonly Kept[]

/** The whole history of a site. */
export async function writeHistory(siteId: string, transaction: Transaction): Promise<string> {
  const edits = await select<Omit<ArchivedHistory[number], 'records'> & { at: Date }>(
    `select revision, kind, target, standing, told, created_at as at from edits
     where site_id = $1 order by revision`,
    [siteId],
    transaction,
  )
  const rows = await select<{
    revision: number
    kind: RecordKind
    id: string
    schema: number
    changes: string
  }>(
    `select revision, kind, id, schema, changes from edit_records
     where site_id = $1 order by revision, n`,
    [siteId],
    transaction,
  )
  const byRevision = new Map<number, object[]>()
  for (const { revision, changes, ...row } of rows) {
    const all = byRevision.get(revision) ?? []
    all.push({ ...row, changes: JSON.parse(changes) as unknown })
    byRevision.set(revision, all)
  }
  return JSON.stringify(
    edits.map(({ at, ...edit }) => ({
      ...edit,
      at: at.toISOString(),
      records: byRevision.get(edit.revision) ?? [],
    })),
  )
}

/** Hashes of files that a history speaks of. */
export const filesIn = (history: string): string[] => [
  ...new Set([...history.matchAll(/"file":"([0-9a-f]{64})"/g)].map(([, hash]) => hash!)),
]

/**
 * A history as it may be kept, read entry by entry up to the first fault; throws `ArchiveRefused` where it is none. What a step leads to is
 * checked when it is taken, as every step is: one that leads to what may not stand is refused then.
 */
export function readHistory(data: Buffer): ArchivedHistory {
  const history: Kept[] = []
  for (const json of itemsOf(data)) {
    if (history.length === mostEntries || textFault(json)) throw new ArchiveRefused('tampered')
    const parsed = entry.safeParse(json)
    if (!parsed.success) throw new ArchiveRefused('tampered')
    const { revision, target, records } = parsed.data
    if (revision <= (history.at(-1)?.revision ?? 0) || (target !== null && target >= revision)) {
      throw new ArchiveRefused('tampered')
    }
    for (const { kind, schema, changes } of records) {
      readChanges(kind, schema, changes as Parameters<typeof readChanges>[2])
    }
    const kept = records.map((each) => ({ ...each, changes: JSON.stringify(each.changes) }))
    history.push({ ...parsed.data, records: kept })
  }
  return history
}

/** Keeps a history that was read with a site that was just begun. */
export async function keepHistory(
  actor: Actor,
  siteId: string,
  history: ArchivedHistory,
  transaction: Transaction,
): Promise<void> {
  await insertRows(
    'edits',
    {
      site_id: 'text',
      revision: 'int',
      actor_id: 'text',
      kind: 'text',
      target: 'int',
      standing: 'text',
      told: 'text',
      created_at: 'timestamptz',
    },
    history.map(({ records: _records, at, ...edit }) => ({
      ...edit,
      site_id: siteId,
      actor_id: actor.userId,
      created_at: at,
    })),
    transaction,
  )
  await insertRows(
    'edit_records',
    editRecordColumns,
    history.flatMap(({ revision, records }) =>
      records.map((record, n) => ({ ...record, site_id: siteId, revision, n })),
    ),
    transaction,
  )
}
