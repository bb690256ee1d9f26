import type { Transaction } from 'sequelize'
import {
  siteDocs,
  withRecord,
  type Font,
  type Fonts,
  type Frame,
  type RecordKind,
  type RecordRef,
  type SiteDocs,
  type SiteRecord,
} from '@/core/site'
import { select } from '../database/sets'
import { keptRecord, readContent, type Content } from './stored'
import type { Listed } from './store'

/** Which record it is, and the state that it is in. */
export interface RecordState extends RecordRef {
  readonly no: string
  readonly hash: string
}

export interface LoadedRecord extends RecordState {
  readonly record: SiteRecord
}

/** A record as it is stored: its text, and what lists tell of it. It is read when it is asked for. */
export interface StoredRecord extends RecordRef {
  readonly content: Content
  readonly listed: Listed
  readonly read: () => SiteRecord
}

interface Row extends RecordState {
  readonly schema: number
  readonly body: string
}

/** The records with their contents, but for texts that are known by their hash. */
async function read(
  states: readonly RecordState[],
  siteId: string,
  transaction: Transaction | undefined,
  remember: boolean,
): Promise<LoadedRecord[]> {
  const known = states.map(({ hash }) => keptRecord(hash))
  const missing = states.filter((_, i) => !known[i])
  const contents = missing.length
    ? await select<Pick<Row, 'hash' | 'schema' | 'body'>>(
        'select hash, schema, body from contents where site_id = $1 and hash = any($2::text[])',
        [siteId, [...new Set(missing.map(({ hash }) => hash))]],
        transaction,
      )
    : []
  const byHash = new Map(contents.map((content) => [content.hash, content]))
  return states.map((state, i) => {
    const record = known[i]
    if (record) return { ...state, record }
    // A text that is gone is like one that cannot be read.
    const content = byHash.get(state.hash) ?? { hash: state.hash, schema: 0, body: '' }
    return { ...state, record: readContent(state.kind, content, { remember }) }
  })
}

/** The states of all records of some kinds, pages in their order. */
export function statesOfKind(
  siteId: string,
  kinds: readonly RecordKind[],
  transaction?: Transaction,
): Promise<RecordState[]> {
  return select<RecordState>(
    `select no, kind, id, hash from records where site_id = $1 and kind = any($2::text[])
     order by kind, position, id`,
    [siteId, kinds],
    transaction,
  )
}

/** The states of the records that are named; those that are not there are left out. */
export function statesOf(
  siteId: string,
  refs: readonly RecordRef[],
  transaction?: Transaction,
): Promise<RecordState[]> {
  return select<RecordState>(
    `select no, kind, id, hash from records
     where site_id = $1 and (kind, id) in (select * from unnest($2::text[], $3::text[]))`,
    [siteId, refs.map(({ kind }) => kind), refs.map(({ id }) => id)],
    transaction,
  )
}

export const loadStates = (
  siteId: string,
  states: readonly RecordState[],
  transaction?: Transaction,
  remember = true,
): Promise<LoadedRecord[]> => read(states, siteId, transaction, remember)

/** Some records in the states that are given, as they are stored: reading each is for whoever needs it. */
export async function loadStored(
  siteId: string,
  states: ReadonlyArray<RecordRef & Pick<RecordState, 'hash'>>,
  transaction: Transaction | undefined,
): Promise<StoredRecord[]> {
  const rows = await select<RecordRef & Content & Listed>(
    `select s.kind, s.id, s.hash, r.title, r.path, r.position,
       coalesce(c.schema, 0) as schema, coalesce(c.body, '') as body
     from unnest($2::text[], $3::text[], $4::text[]) as s (kind, id, hash)
       join records r on r.site_id = $1 and r.kind = s.kind and r.id = s.id
       left join contents c on c.site_id = $1 and c.hash = s.hash`,
    [
      siteId,
      states.map(({ kind }) => kind),
      states.map(({ id }) => id),
      states.map(({ hash }) => hash),
    ],
    transaction,
  )
  return rows.map(({ kind, id, title, path, position, ...content }) => {
    let record: SiteRecord | undefined
    return {
      kind,
      id,
      content,
      listed: { title, path, position },
      read: () => (record ??= readContent(kind, content, { remember: false })),
    }
  })
}

export async function loadRecords(
  siteId: string,
  refs: readonly RecordRef[],
  transaction?: Transaction,
): Promise<LoadedRecord[]> {
  return read(await statesOf(siteId, refs, transaction), siteId, transaction, true)
}

export async function loadFrame(siteId: string, transaction?: Transaction): Promise<Frame> {
  const [frame] = await loadRecords(siteId, [{ kind: 'frame', id: 'frame' }], transaction)
  if (!frame) throw new Error(`site ${siteId} has no frame`)
  return frame.record as Frame
}

export function docsFrom(records: readonly LoadedRecord[]): SiteDocs {
  const frame = records.find(({ kind }) => kind === 'frame')?.record as Frame
  return records.reduce((docs, each) => withRecord(docs, each, each.record), siteDocs(frame))
}

/** All of a site; for tests and for small sites alone. */
export async function loadWhole(siteId: string, transaction?: Transaction): Promise<SiteDocs> {
  const states = await statesOfKind(siteId, ['frame', 'page', 'picture', 'font'], transaction)
  return docsFrom(await read(states, siteId, transaction, false))
}

/** The site's own fonts, by their ids. */
export async function loadFonts(siteId: string, transaction?: Transaction): Promise<Fonts> {
  const states = await statesOfKind(siteId, ['font'], transaction)
  const fonts = await loadStates(siteId, states, transaction)
  return Object.fromEntries(fonts.map(({ id, record }) => [id, record as Font]))
}
