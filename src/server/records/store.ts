import type { Transaction } from 'sequelize'
import {
  isCanonical,
  type Font,
  type Frame,
  type Page,
  type Picture,
  type RecordKind,
  type RecordRef,
  type SiteRecord,
} from '@/core/site'
import {
  columnsOf,
  insertLong,
  insertRows,
  select,
  survey,
  tell,
  type Columns,
} from '../database/sets'
import { addIndexes, replaceIndexes } from '../uses/keep-rows'
import { indexHash, indexOf, indexOfText, readersVersion, type RecordIndex } from '../uses/rows'
import { contentOf, type Content } from './stored'

/** A record as it is to be; without one it goes. */
export interface RecordWrite extends RecordRef {
  readonly record: SiteRecord | undefined
}

interface ContentRow extends Content {
  readonly site_id: string
  readonly kind: string
}
const contentColumns: Columns<ContentRow> = {
  site_id: 'text',
  hash: 'text',
  kind: 'text',
  schema: 'int',
  body: 'text',
}

/** What lists of records tell: a page by its title, file name and place, a file by its name. */
export interface Listed {
  readonly title: string | null
  readonly path: string | null
  readonly position: string | null
}

const unlisted: Listed = { title: null, path: null, position: null }
const listedBy: { readonly [K in RecordKind]: (record: SiteRecord) => Listed } = {
  frame: () => unlisted,
  page: (record) => {
    const { title, path, order } = record as Page
    return { title, path, position: order }
  },
  picture: (record) => ({ ...unlisted, path: (record as Picture).fileName }),
  font: (record) => ({ ...unlisted, path: (record as Font).fileName }),
}

interface RecordRow extends Listed {
  readonly site_id: string
  readonly kind: string
  readonly id: string
  readonly hash: string
  readonly revision: number
  readonly readers: number
  readonly index_hash: string
}
const recordColumns: Columns<RecordRow> = {
  site_id: 'text',
  kind: 'text',
  id: 'text',
  hash: 'text',
  revision: 'int',
  title: 'text',
  path: 'text',
  position: 'text',
  readers: 'int',
  index_hash: 'text',
}

/** What is kept of a record, but for what the readers say of it. */
export interface Written extends RecordRef {
  readonly content: Content
  readonly listed: Listed
  readonly indexHash: string
}

/** A record with all that is kept of it. */
export interface ReadyWrite extends Written {
  /** As it is stored: the order of members, which the readers follow, is that of the text. */
  readonly record: SiteRecord
  /** What the readers say of it; read when it is asked for. */
  readonly index: () => Promise<RecordIndex>
}

/** Records that are written again and again, made ready once. */
const lasting = new WeakMap<SiteRecord, ReadyWrite>()

/** Keeps what there is to write of a record for as long as that itself is kept: it begins many sites. */
export function keepReady(ref: RecordRef, record: SiteRecord): void {
  if (lasting.has(record)) return
  const ready = readyWrite(ref, record)
  void ready.index()
  lasting.set(record, ready)
}

export function readyWrite(ref: RecordRef, record: SiteRecord): ReadyWrite {
  const kept = lasting.get(record)
  if (kept?.kind === ref.kind && kept.id === ref.id) return kept
  const content = contentOf(ref.kind, record)
  const isAsStored = isCanonical(record)
  const stored = isAsStored ? record : (JSON.parse(content.body) as SiteRecord)
  let read: Promise<RecordIndex> | undefined
  const index = () => (read ??= indexOf(ref, stored))
  return {
    kind: ref.kind,
    id: ref.id,
    record: stored,
    content,
    listed: listedBy[ref.kind](record),
    index,
    indexHash: indexHash(ref.kind, content.hash, () => indexOfText(ref, stored)),
  }
}

const refColumns: Columns<{ kind: string; id: string }> = { kind: 'text', id: 'text' }

async function removeRecords(
  siteId: string,
  refs: readonly RecordRef[],
  transaction: Transaction,
): Promise<void> {
  if (refs.length === 0) return
  const { unnest, bind } = columnsOf(refColumns, refs)
  await tell(
    `delete from records where site_id = $1 and (kind, id) in (select * from ${unnest(2)})`,
    [siteId, ...bind],
    transaction,
  )
}

interface Numbered {
  readonly no: string
  readonly kind: RecordKind
  readonly id: string
  readonly index_hash: string | null
}

/** What the index of the records was made from, by name. */
async function numbersOf(
  siteId: string,
  refs: readonly RecordRef[],
  transaction: Transaction,
): Promise<Map<string, Numbered>> {
  const { unnest, bind } = columnsOf(refColumns, refs)
  const rows = await select<Numbered>(
    `select no, kind, id, index_hash from records
     where site_id = $1 and (kind, id) in (select * from ${unnest(2)})`,
    [siteId, ...bind],
    transaction,
  )
  return new Map(rows.map((row) => [`${row.kind}/${row.id}`, row]))
}

/**
 * Puts texts where all contents lie. One that is there already counts as young
 * again, so that it is not tidied away before whoever put it refers to it.
 */
export function putContents(
  siteId: string,
  writes: readonly Written[],
  transaction?: Transaction,
): Promise<void> {
  const rows = writes.map(({ kind, content }) => ({ ...content, site_id: siteId, kind }))
  const byHash = [...new Map(rows.map((row) => [row.hash, row])).values()]
  const young = 'on conflict (site_id, hash) do update set at = now()'
  return insertLong('contents', contentColumns, byHash, transaction, young)
}

/** A site is listed by the name that its frame gives it. */
async function keepName(
  siteId: string,
  writes: readonly ReadyWrite[],
  transaction: Transaction,
): Promise<void> {
  const frame = writes.find(({ kind }) => kind === 'frame')
  if (!frame) return
  const { name } = frame.record as Frame
  await tell('update sites set name = $2 where id = $1 and name <> $2', [siteId, name], transaction)
}

const recordRows = (siteId: string, revision: number, writes: readonly ReadyWrite[]) =>
  writes.map(({ kind, id, content, listed, indexHash: own }) => ({
    ...listed,
    site_id: siteId,
    kind,
    id,
    hash: content.hash,
    revision,
    readers: readersVersion,
    index_hash: own,
  }))

/** What the readers say of some records, each under its number. */
const indexesOf = (writes: readonly ReadyWrite[], numbers: ReadonlyMap<string, Numbered>) =>
  Promise.all(
    writes.map(async ({ kind, id, index }) => ({
      no: numbers.get(`${kind}/${id}`)!.no,
      index: await index(),
    })),
  )

/** From so many records on, a site that comes changes what the database knows of its tables. */
const MANY_RECORDS = 40
const SURVEYED = ['records', 'contents', 'use_groups', 'use_spots', 'bands', 'looks']

/** Puts the records of a site that has none yet: nothing of it need be looked for. */
export async function putFirstRecords(
  siteId: string,
  revision: number,
  records: ReadonlyArray<RecordRef & { readonly record: SiteRecord }>,
  transaction: Transaction,
): Promise<void> {
  const writes = records.map(({ record, ...ref }) => readyWrite(ref, record))
  await putContents(siteId, writes, transaction)
  await insertRows('records', recordColumns, recordRows(siteId, revision, writes), transaction)
  const numbers = await numbersOf(siteId, writes, transaction)
  const indexes = await indexesOf(writes, numbers)
  await addIndexes(siteId, indexes, transaction)
  if (writes.length >= MANY_RECORDS) await survey(SURVEYED, transaction)
}

/** Puts records in place, with their contents and what is kept beside them, all in sets. */
export async function putRecords(
  siteId: string,
  revision: number,
  writes: readonly ReadyWrite[],
  transaction: Transaction,
): Promise<void> {
  if (writes.length === 0) return
  await putContents(siteId, writes, transaction)
  await keepName(siteId, writes, transaction)
  const before = await numbersOf(siteId, writes, transaction)
  await insertRows(
    'records',
    recordColumns,
    recordRows(siteId, revision, writes),
    transaction,
    `on conflict (site_id, kind, id) do update set hash = excluded.hash,
       revision = excluded.revision, title = excluded.title, path = excluded.path,
       position = excluded.position, readers = excluded.readers, index_hash = excluded.index_hash`,
  )
  const isNew = ({ kind, id, indexHash: own }: ReadyWrite) =>
    before.get(`${kind}/${id}`)?.index_hash !== own
  const changed = writes.filter(isNew)
  const numbers = changed.length ? await numbersOf(siteId, changed, transaction) : before
  await replaceIndexes(siteId, await indexesOf(changed, numbers), transaction)
}

/** Stores what records become; the caller has checked them. */
export async function writeRecords(
  siteId: string,
  revision: number,
  writes: readonly RecordWrite[],
  transaction: Transaction,
): Promise<void> {
  const gone = writes.filter(({ record }) => !record)
  await removeRecords(siteId, gone, transaction)
  const kept = writes.flatMap(({ record, ...ref }) => (record ? [readyWrite(ref, record)] : []))
  await putRecords(siteId, revision, kept, transaction)
}
