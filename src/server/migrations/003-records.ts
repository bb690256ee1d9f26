import { createHash } from 'node:crypto'
import { applyPatches, enablePatches, type Patch } from 'immer'
import { QueryTypes, type QueryInterface, type Transaction } from 'sequelize'
import { changesBetween, type Change } from '@/core/changes'
import { generateNKeysBetween } from 'fractional-indexing'
import { fileStore } from '../storage'
import { recordTables } from './003-tables'

enablePatches()

/** The version of pictures as records; frames and pages keep theirs. */
const PICTURE = 1

type Json = Record<string, unknown>

/** JSON with keys in order; one document has one text. */
function textOf(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(textOf).join(',')}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null'
  const members = Object.entries(value)
    .filter(([, v]) => v !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
  return `{${members.map(([k, v]) => `${JSON.stringify(k)}:${textOf(v)}`).join(',')}}`
}

const hashOf = (data: string | Uint8Array) => createHash('sha256').update(data).digest('hex')

/** Asks and tells the database within the one transaction of the step. */
interface Work {
  readonly select: <T extends object>(sql: string, bind?: unknown[]) => Promise<T[]>
  readonly run: (sql: string, bind?: unknown[]) => Promise<void>
}

function workWith(query: QueryInterface, transaction: Transaction): Work {
  const { sequelize } = query
  return {
    select: <T extends object>(sql: string, bind: unknown[] = []) =>
      sequelize.query<T>(sql, { bind, type: QueryTypes.SELECT, transaction }),
    run: async (sql, bind = []) => {
      await sequelize.query(sql, { ...(bind.length ? { bind } : {}), transaction })
    },
  }
}

async function keepContent({ run }: Work, site: string, kind: string, body: Json): Promise<string> {
  const text = textOf(body)
  const hash = hashOf(text)
  await run(
    'insert into contents (site_id, hash, kind, schema, body) values ($1, $2, $3, $4, $5) on conflict do nothing',
    [site, hash, kind, Number(body.schema), text],
  )
  return hash
}

async function keepRecord(work: Work, site: string, kind: string, id: string, body: Json) {
  const hash = await keepContent(work, site, kind, body)
  const isPage = kind === 'page'
  await work.run(
    `insert into records (site_id, kind, id, hash, revision, title, path, position)
     values ($1, $2, $3, $4, 0, $5, $6, $7)`,
    [
      site,
      kind,
      id,
      hash,
      isPage ? body.title : null,
      isPage ? body.path : kind === 'picture' ? body.fileName : null,
      isPage ? body.order : null,
    ],
  )
}

/** The bytes of a file, put under their hash; the hash of nothing where the file is gone. */
async function keepFile(
  key: string,
): Promise<{ readonly hash: string; readonly bytes: Uint8Array }> {
  const bytes = (await fileStore().readOld(key)) ?? new Uint8Array()
  const hash = hashOf(bytes)
  if (bytes.length) await fileStore().put(hash, bytes)
  return { hash, bytes }
}

interface OldDocs {
  readonly frame: Json
  readonly pages: Readonly<Record<string, Json>>
}

/** Pages in their order, each with a key of its own. */
function inOrder(pages: readonly Json[]): Json[] {
  const keys = generateNKeysBetween(null, null, pages.length)
  return pages.map((page, i) => ({ ...page, order: keys[i] }))
}

async function moveRecords(work: Work, site: string, frame: Json): Promise<OldDocs> {
  const rows = await work.select<{ document: Json }>(
    'select document from pages where site_id = $1 order by position',
    [site],
  )
  const pages = inOrder(rows.map(({ document }) => document))
  await keepRecord(work, site, 'frame', 'frame', frame)
  for (const page of pages) await keepRecord(work, site, 'page', String(page.id), page)
  const assets = await work.select<{ details: Json; storage_key: string }>(
    'select details, storage_key from assets where site_id = $1',
    [site],
  )
  for (const { details, storage_key: key } of assets) {
    const { hash } = await keepFile(key)
    const picture = { ...details, schema: PICTURE, file: hash }
    await keepRecord(work, site, 'picture', String(details.id), picture)
  }
  return { frame, pages: Object.fromEntries(pages.map((page) => [String(page.id), page])) }
}

/** The changes between two states of the documents, by record. */
function differences(before: OldDocs, after: OldDocs) {
  const isPaint = (members: object) =>
    'slot' in members ||
    'gradient' in members ||
    'under' in members ||
    ('value' in members && Object.keys(members).length === 1)
  const all: Array<{ kind: string; id: string; schema: number; changes: Change[] }> = []
  const compare = (kind: string, id: string, a: Json | undefined, b: Json | undefined) => {
    const changes = a === b ? [] : changesBetween(a, b, isPaint)
    if (changes.length) all.push({ kind, id, schema: Number((b ?? a)!.schema), changes })
  }
  compare('frame', 'frame', before.frame, after.frame)
  for (const id of Object.keys(after.pages)) compare('page', id, before.pages[id], after.pages[id])
  return all
}

interface OldEdit {
  readonly revision: number
  readonly kind: 'do' | 'undo' | 'redo'
  readonly patches: Patch[]
  readonly inverse: Patch[]
}

/** Pages that a change exchanged as a whole did not know their place: they always stood where they stand. */
function withOrders({ frame, pages }: OldDocs, { pages: known }: OldDocs): OldDocs {
  const placed = Object.entries(pages).map(([id, page]) => [
    id,
    page.order === undefined ? { ...page, order: known[id]?.order } : page,
  ])
  return { frame, pages: Object.fromEntries(placed) as OldDocs['pages'] }
}

/**
 * Goes back through the history from the documents as they are, and keeps of
 * every change what lies between the states before and after it. Where a change
 * of an older shape no longer leads anywhere, the history can be undone up to there.
 */
async function moveHistory(work: Work, site: string, docs: OldDocs): Promise<void> {
  const edits = await work.select<OldEdit>(
    'select revision, kind, patches, inverse from edits where site_id = $1 order by revision desc',
    [site],
  )
  let after = docs
  for (const { revision, kind, inverse } of edits) {
    let before: OldDocs
    try {
      before = withOrders(applyPatches(after, inverse), docs)
    } catch {
      await work.run(
        `update edits set standing = 'closed' where site_id = $1 and revision <= $2 and standing in ('live', 'undone')`,
        [site, revision],
      )
      return
    }
    // What undo and redo did, the change that they point at tells.
    const parts = kind === 'do' ? differences(before, after) : []
    for (const [n, { kind: of, id, schema, changes }] of parts.entries()) {
      await work.run(
        `insert into edit_records (site_id, revision, n, kind, id, schema, changes)
         values ($1, $2, $3, $4, $5, $6, $7)`,
        [site, revision, n, of, id, schema, JSON.stringify(changes)],
      )
    }
    after = before
  }
}

async function moveCheckpoints(work: Work, site: string, order: OldDocs['pages']): Promise<void> {
  const rows = await work.select<{ id: string; frame: Json; pages: Json[] }>(
    'select id, frame, pages from checkpoints where site_id = $1',
    [site],
  )
  for (const { id, frame, pages } of rows) {
    const records: Array<[string, string, Json]> = [
      ['frame', 'frame', frame],
      ...pages.map((page): [string, string, Json] => {
        const key = String(page.id)
        return ['page', key, { ...page, order: order[key]?.order ?? 'a0' }]
      }),
    ]
    for (const [kind, of, body] of records) {
      const hash = await keepContent(work, site, kind, body)
      await work.run('insert into snapshot_records values ($1, $2, $3, $4, $5)', [
        id,
        site,
        kind,
        of,
        hash,
      ])
    }
    // Pictures could not be changed before.
    await work.run(
      `insert into snapshot_records select $1, site_id, kind, id, hash from records
       where site_id = $2 and kind = 'picture'`,
      [id, site],
    )
  }
}

async function movePublications(work: Work): Promise<void> {
  const rows = await work.select<{ site_id: string; storage_key: string; files: string[] }>(
    'select site_id, storage_key, files from publications',
  )
  for (const { site_id: site, storage_key: folder, files } of rows) {
    for (const name of files) {
      const { hash, bytes } = await keepFile(`${folder}/${name}`)
      if (!bytes.length) continue
      await work.run('insert into publication_files (site_id, name, hash) values ($1, $2, $3)', [
        site,
        name,
        hash,
      ])
    }
  }
}

/**
 * Everything becomes a record: frame, pages and pictures, their contents kept
 * once under the hash of their text; history, checkpoints and publications refer
 * to records; files lie under the hash of their bytes; the uses of a record, its
 * bands and its looks are rows beside it. What is read here is written as it was
 * by the version before: no schema of today is asked.
 */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.transaction(async (transaction) => {
    const work = workWith(query, transaction)
    await work.run(recordTables)
    const sites = await work.select<{ id: string; frame: Json }>('select id, frame from sites')
    for (const { id, frame } of sites) {
      const docs = await moveRecords(work, id, frame)
      await moveHistory(work, id, docs)
      await moveCheckpoints(work, id, docs.pages)
    }
    await movePublications(work)
    await work.run(`
      alter table edits drop column command, drop column patches, drop column inverse;
      alter table checkpoints drop column frame, drop column pages;
      alter table publications drop column storage_key, drop column files;
      alter table sites drop column frame, drop column summary;
      drop table pages;
      drop table assets;
    `)
  })
}

/** Back to an empty database of the shape before; what was in it is gone. */
export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    drop schema if exists pgboss cascade;
    drop table plans, jobs, windows, staged_records, staged_uses, staged_bands, staged_looks, publication_files, snapshot_records, edit_records, looks, bands, uses, records, contents;
    delete from sites;
    alter table publications drop column snapshot,
      add column storage_key text not null, add column files jsonb not null;
    alter table sites add column frame jsonb not null, add column summary jsonb not null;
    alter table checkpoints add column frame jsonb not null, add column pages jsonb not null;
    alter table edits add column command jsonb not null, add column patches jsonb not null,
      add column inverse jsonb not null;
    create table pages (
      site_id text not null references sites(id) on delete cascade, id text not null,
      position integer not null, document jsonb not null, summary jsonb not null,
      primary key (site_id, id)
    );
    create table assets (
      site_id text not null references sites(id) on delete cascade, id text not null,
      details jsonb not null, storage_key text not null, primary key (site_id, id)
    );
  `)
}
