import { createHash } from 'node:crypto'
import { applyPatches, enablePatches, type Patch } from 'immer'
import { QueryTypes, type QueryInterface, type Transaction } from 'sequelize'
import { changesBetween, type Change } from '@/core/changes'
import { generateNKeysBetween } from 'fractional-indexing'
import { fileStore } from '../storage'

enablePatches()

/**
 * Everything becomes a record: frame, pages and pictures, their contents kept
 * once under the hash of their text; history, checkpoints and publications refer
 * to records; files lie under the hash of their bytes; the uses of a record, its
 * bands and its looks are rows beside it. What is read here is written as it was
 * by the version before: no schema of today is asked.
 */
const TABLES = `
create table contents (
  site_id text not null references sites(id) on delete cascade,
  hash text not null,
  kind text not null,
  schema integer not null,
  body text not null,
  at timestamptz not null default now(),
  primary key (site_id, hash)
);
create table records (
  no bigint generated always as identity unique,
  site_id text not null references sites(id) on delete cascade,
  kind text not null,
  id text not null,
  hash text not null,
  revision integer not null,
  title text,
  path text,
  position text collate "C",
  readers integer not null default 0,
  index_hash text,
  primary key (site_id, kind, id)
);
alter table records add constraint records_path unique (site_id, kind, path) deferrable initially deferred;
create index records_position on records (site_id, kind, position, id);
create index records_revision on records (site_id, revision);
create table uses (
  record bigint not null references records(no) on delete cascade,
  n integer not null,
  site_id text not null,
  place text not null,
  color text,
  slot text,
  shade text,
  written text not null,
  css text,
  object text not null,
  property text not null,
  state text,
  paints text not null,
  path text not null,
  start integer,
  context text,
  context_at integer,
  label text not null,
  owner text not null,
  bindable boolean not null,
  primary key (record, n)
);
create index uses_color on uses (site_id, color) where color is not null;
create index uses_slot on uses (site_id, slot) where slot is not null;
create table bands (
  record bigint not null references records(no) on delete cascade,
  n integer not null,
  site_id text not null,
  section text not null,
  name text not null,
  theme text not null,
  fill text,
  primary key (record, n)
);
create index bands_theme on bands (site_id, theme);
create table looks (
  record bigint not null references records(no) on delete cascade,
  n integer not null,
  site_id text not null,
  look text not null,
  count integer not null,
  primary key (record, n)
);
create index looks_site on looks (site_id);
create table edit_records (
  site_id text not null,
  revision integer not null,
  n integer not null,
  kind text not null,
  id text not null,
  schema integer not null,
  changes text not null,
  primary key (site_id, revision, n),
  foreign key (site_id, revision) references edits (site_id, revision) on delete cascade
);
create table snapshot_records (
  snapshot text not null,
  site_id text not null references sites(id) on delete cascade,
  kind text not null,
  id text not null,
  hash text not null,
  primary key (snapshot, kind, id)
);
create index snapshot_records_hash on snapshot_records (site_id, hash);
create table publication_files (
  site_id text not null references sites(id) on delete cascade,
  name text not null,
  hash text not null,
  source text,
  primary key (site_id, name)
);
alter table publications add column snapshot text;
create unlogged table staged_records (
  job text not null,
  at integer not null,
  kind text not null,
  id text not null,
  base_hash text,
  hash text,
  title text,
  path text,
  position text collate "C",
  readers integer not null,
  index_hash text,
  uses integer not null,
  bands integer not null,
  looks integer not null,
  changes text not null,
  counted integer not null,
  primary key (job, kind, id)
);
create unlogged table staged_uses (like uses);
alter table staged_uses drop column record, add column job text not null, add column at integer not null;
create index staged_uses_job on staged_uses (job, at);
create unlogged table staged_bands (like bands);
alter table staged_bands drop column record, add column job text not null, add column at integer not null;
create index staged_bands_job on staged_bands (job, at);
create unlogged table staged_looks (like looks);
alter table staged_looks drop column record, add column job text not null, add column at integer not null;
create index staged_looks_job on staged_looks (job, at);
create table plans (
  id text primary key,
  site_id text not null references sites(id) on delete cascade,
  actor_id text not null,
  revision integer not null,
  intent text not null,
  created_at timestamptz not null default now()
);
create table jobs (
  id text primary key,
  site_id text not null references sites(id) on delete cascade,
  actor_id text not null,
  kind text not null,
  data text not null,
  state text not null,
  progress real not null default 0,
  doing text not null default '',
  problem text,
  result text,
  created_at timestamptz not null default now(),
  ended_at timestamptz
);
create index jobs_site on jobs (site_id, created_at);
`

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
      before = applyPatches(after, inverse)
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

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.transaction(async (transaction) => {
    const work = workWith(query, transaction)
    await work.run(TABLES)
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
    drop table plans, jobs, staged_records, staged_uses, staged_bands, staged_looks, publication_files, snapshot_records, edit_records, looks, bands, uses, records, contents;
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
