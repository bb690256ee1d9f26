import type { Transaction } from 'sequelize'
import { changedDocs, type EditProblem } from '@/core/edit'
import {
  frameRef,
  recordAt,
  recordKey,
  withRecord,
  type RecordChange,
  type RecordRef,
  type SiteDocs,
} from '@/core/site'
import { columnsOf, select } from '../database/sets'
import { docsFrom, faultOf, fileFaultOf, loadRecords, writeRecords } from '../records'

/** The records of a site that a change works on: loaded as they are needed, stored once at the end. */
export interface WorkingSet {
  readonly docs: () => SiteDocs
  /** Loads records that are not at hand yet. */
  readonly need: (refs: readonly RecordRef[]) => Promise<void>
  /** Puts the documents after an edit in place of those before; why they may not be stored, where that is so. */
  readonly take: (
    docs: SiteDocs,
    changes: readonly RecordChange[],
  ) => Promise<EditProblem | undefined>
  /** Makes changes in the records that they name; false where they do not fit what is there. */
  readonly change: (changes: readonly RecordChange[]) => Promise<boolean>
  /** Stores every record that was changed. */
  readonly store: (revision: number) => Promise<void>
}

/** Whether changes of a record may give it another file name. */
const isNaming = ({ changes }: RecordChange) =>
  changes.some(({ path: [member] }) => [undefined, 'path', 'fileName'].includes(member as string))

/** File names that records would share with others of their kind, which are not changed themselves: of pages, of pictures. */
async function takenName(
  siteId: string,
  refs: readonly RecordRef[],
  changed: ReadonlyMap<string, RecordRef>,
  docs: SiteDocs,
  transaction: Transaction,
): Promise<EditProblem | undefined> {
  const named = refs.flatMap((ref) => {
    const record = recordAt(docs, ref) as { path?: string; fileName?: string } | undefined
    const name = record?.path ?? record?.fileName
    return name === undefined ? [] : [{ kind: ref.kind, id: ref.id, name }]
  })
  if (named.length === 0) return undefined
  const { unnest, bind } = columnsOf({ kind: 'text', id: 'text', name: 'text' } as const, named)
  const others = await select<RecordRef>(
    `select r.kind, r.id from records r join ${unnest(2)} as named (kind, id, name)
       on named.kind = r.kind and named.name = r.path and named.id <> r.id
     where r.site_id = $1`,
    [siteId, ...bind],
    transaction,
  )
  const clash = others.find((other) => !changed.has(recordKey(other)))
  if (!clash) return undefined
  return clash.kind === 'page' ? 'path-taken' : 'file-taken'
}

/** Begins with the frame of a site. */
export async function workingSet(siteId: string, transaction: Transaction): Promise<WorkingSet> {
  let docs = docsFrom(await loadRecords(siteId, [frameRef], transaction))
  const asked = new Set([recordKey(frameRef)])
  const changed = new Map<string, RecordRef>()

  async function need(refs: readonly RecordRef[]): Promise<void> {
    const missing = refs.filter((ref) => !asked.has(recordKey(ref)))
    if (missing.length === 0) return
    for (const { kind, id, record } of await loadRecords(siteId, missing, transaction)) {
      docs = withRecord(docs, { kind, id }, record)
    }
    for (const ref of missing) asked.add(recordKey(ref))
  }

  async function take(
    next: SiteDocs,
    changes: readonly RecordChange[],
  ): Promise<EditProblem | undefined> {
    for (const ref of changes) {
      const record = recordAt(next, ref)
      const before = recordAt(docs, ref)
      const fault =
        record && (faultOf(ref.kind, record, before) ?? (await fileFaultOf(record, before)))
      if (fault) return fault
    }
    docs = next
    for (const { kind, id } of changes) changed.set(recordKey({ kind, id }), { kind, id })
    return takenName(siteId, changes.filter(isNaming), changed, docs, transaction)
  }

  async function change(changes: readonly RecordChange[]): Promise<boolean> {
    await need(changes)
    const next = changedDocs(docs, changes)
    return next !== undefined && (await take(next, changes)) === undefined
  }

  async function store(revision: number): Promise<void> {
    const writes = [...changed.values()].map((ref) => ({ ...ref, record: recordAt(docs, ref) }))
    await writeRecords(siteId, revision, writes, transaction)
  }

  return { docs: () => docs, need, take, change, store }
}
