import type { Transaction } from 'sequelize'
import { applyChanges } from '@/core/changes'
import type { EditProblem } from '@/core/edit'
import {
  isWholeRecord,
  recordAt,
  recordKey,
  withRecord,
  type RecordChange,
  type RecordRef,
  type SiteDocs,
} from '@/core/site'
import { columnsOf, select } from '../database/sets'
import { docsFrom, loadRecords, writeRecords } from '../records'

/** The records of a site that a change works on: loaded as they are needed, stored once at the end. */
export interface WorkingSet {
  readonly docs: () => SiteDocs
  /** Loads records that are not at hand yet. */
  readonly need: (refs: readonly RecordRef[]) => Promise<void>
  /** Puts the documents after an edit in place of those before; why they may not be stored, where that is so. */
  readonly take: (docs: SiteDocs, changes: readonly RecordChange[]) => EditProblem | undefined
  /** Makes changes in the records that they name; false where they do not fit what is there. */
  readonly change: (changes: readonly RecordChange[]) => Promise<boolean>
  /** Stores every record that was changed; why it cannot be, where that is so. */
  readonly store: (revision: number) => Promise<EditProblem | undefined>
}

/** File names that two records of a kind would share: of pages, of pictures. */
async function takenName(
  siteId: string,
  changed: ReadonlyMap<string, RecordRef>,
  docs: SiteDocs,
  transaction: Transaction,
): Promise<EditProblem | undefined> {
  const named = [...changed.values()].flatMap((ref) => {
    const record = recordAt(docs, ref) as { path?: string; fileName?: string } | undefined
    const name = record?.path ?? record?.fileName
    return name === undefined ? [] : [{ kind: ref.kind, id: ref.id, name }]
  })
  if (named.length === 0) return undefined
  const { unnest, bind } = columnsOf({ kind: 'text', id: 'text', name: 'text' } as const, named)
  const others = await select<{ kind: string; id: string }>(
    `select r.kind, r.id from records r join ${unnest(2)} as named (kind, id, name)
       on named.kind = r.kind and named.name = r.path and named.id <> r.id
     where r.site_id = $1`,
    [siteId, ...bind],
    transaction,
  )
  const clash = others.find(({ kind, id }) => !changed.has(`${kind}/${id}`))
  if (!clash) return undefined
  return clash.kind === 'page' ? 'path-taken' : 'file-taken'
}

/** Begins with the frame of a site. */
export async function workingSet(siteId: string, transaction: Transaction): Promise<WorkingSet> {
  const frame = { kind: 'frame', id: 'frame' } as const
  let docs = docsFrom(await loadRecords(siteId, [frame], transaction))
  const asked = new Set([recordKey(frame)])
  const changed = new Map<string, RecordRef>()

  async function need(refs: readonly RecordRef[]): Promise<void> {
    const missing = refs.filter((ref) => !asked.has(recordKey(ref)))
    if (missing.length === 0) return
    for (const { kind, id, record } of await loadRecords(siteId, missing, transaction)) {
      docs = withRecord(docs, { kind, id }, record)
    }
    for (const ref of missing) asked.add(recordKey(ref))
  }

  function take(next: SiteDocs, changes: readonly RecordChange[]): EditProblem | undefined {
    const isFit = changes.every((ref) => {
      const record = recordAt(next, ref)
      return record === undefined || isWholeRecord(ref.kind, record)
    })
    if (!isFit) return 'not-whole'
    docs = next
    for (const { kind, id } of changes) changed.set(`${kind}/${id}`, { kind, id })
    return undefined
  }

  async function change(changes: readonly RecordChange[]): Promise<boolean> {
    await need(changes)
    try {
      const next = changes.reduce(
        (now, { kind, id, changes: own }) =>
          withRecord(now, { kind, id }, applyChanges(recordAt(now, { kind, id }), own)),
        docs,
      )
      return take(next, changes) === undefined
    } catch {
      return false
    }
  }

  async function store(revision: number): Promise<EditProblem | undefined> {
    const problem = await takenName(siteId, changed, docs, transaction)
    if (problem) return problem
    const writes = [...changed.values()].map((ref) => ({ ...ref, record: recordAt(docs, ref) }))
    await writeRecords(siteId, revision, writes, transaction)
    return undefined
  }

  return { docs: () => docs, need, take, change, store }
}
