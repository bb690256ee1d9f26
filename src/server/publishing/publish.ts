import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { randomUUID } from 'node:crypto'
import type { Transaction } from 'sequelize'
import { withCleanSnippets } from '@/core/markup'
import { done, refused, type Publication, type Result } from '@/core/payloads'
import {
  fontFiles,
  fontsOf,
  pageFace,
  pageFiles,
  sharedFiles,
  typefacesOf,
  type PagePaths,
} from '@/core/render'
import {
  allRecordKinds,
  siteDocs,
  type ColorDecision,
  type Fonts,
  type Frame,
  type Page,
  type Picture,
  type Pictures,
  type SlotId,
} from '@/core/site'
import type { Shade } from '@/core/color'
import { inTurn, siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { models } from '../database/models'
import { insertRows, select, tell } from '../database/sets'
import { unwatched, type WorkWatch } from '../edits'
import {
  hashOf,
  keepStates,
  keepTidyAway,
  loadFonts,
  loadFrame,
  loadStates,
  statesOfKind,
  type RecordState,
} from '../records'
import { ownFontsOf } from '../fonts'
import { fileStore } from '../storage'
import { pictureFiles } from './picture-files'
import { publicationEntry } from './publication'
import type { SiteFile } from './site-file'
import { pagesOfChangedPictures } from './changed-pictures'

/** Raised when the renderer writes otherwise than before: every page is then written anew. */
const rendererVersion = 7

/** Where the fonts that ship with us lie. */
const fontFolder = () => path.join(process.cwd(), 'public', 'fonts')

/** Pages that are in memory at the same time. */
const AT_ONCE = 40

/** What a publication is made from, all of one moment, but for the pages. */
interface Source {
  readonly revision: number
  readonly frame: Frame
  readonly pictures: Pictures
  readonly fonts: Fonts
  readonly paths: PagePaths
  readonly shades: readonly ColorDecision[]
  readonly pages: readonly RecordState[]
  /** Pages with a picture of which something is otherwise than when they were published. */
  readonly outdated: ReadonlySet<string>
  readonly before: ReadonlyMap<string, SiteFile>
}

/** The shades that pages refer to: one question to the index. */
async function shadesOf(siteId: string, transaction: Transaction): Promise<ColorDecision[]> {
  const rows = await select<{ slot: SlotId; shade: string }>(
    `select distinct u.slot, u.shade from use_groups u join records r on r.no = u.record
     where u.site_id = $1 and r.kind = 'page' and u.shade is not null`,
    [siteId],
    transaction,
  )
  return rows.map(({ slot, shade }) => ({ slot, shade: JSON.parse(shade) as Shade }))
}

async function sourceOf(
  siteId: string,
  revision: number,
  transaction: Transaction,
): Promise<Source> {
  const pages = await statesOfKind(siteId, ['page'], transaction)
  const listed = await select<{ id: string; path: string }>(
    `select id, path from records where site_id = $1 and kind = 'page'`,
    [siteId],
    transaction,
  )
  const states = await statesOfKind(siteId, ['picture'], transaction)
  const pictures = await loadStates(siteId, states, transaction)
  const before = await select<SiteFile>(
    'select name, hash, source from publication_files where site_id = $1',
    [siteId],
    transaction,
  )
  return {
    revision,
    frame: await loadFrame(siteId, transaction),
    fonts: await loadFonts(siteId, transaction),
    pictures: Object.fromEntries(pictures.map(({ id, record }) => [id, record as Picture])),
    paths: Object.fromEntries(listed.map(({ id, path: own }) => [id, own])),
    shades: await shadesOf(siteId, transaction),
    pages,
    outdated: await pagesOfChangedPictures(siteId, states, transaction),
    before: new Map(before.map((file) => [file.name, file])),
  }
}

/** Puts texts into the file store, as far as they are not there; counts those. */
async function putFiles(
  files: ReadonlyMap<string, string | Uint8Array>,
  source: string | null,
  before: ReadonlyMap<string, SiteFile>,
) {
  const store = fileStore()
  let written = 0
  const put: SiteFile[] = []
  for (const [name, data] of files) {
    const hash = hashOf(data)
    if (before.get(name)?.hash !== hash) {
      await store.put(hash, data)
      written += 1
    }
    put.push({ name, hash, source })
  }
  return { put, written }
}

async function filesOfFonts(frame: Frame): Promise<Map<string, Uint8Array>> {
  const files = new Map<string, Uint8Array>()
  for (const file of fontsOf(typefacesOf(frame)).flatMap(fontFiles)) {
    files.set(`fonts/${file}`, await readFile(path.join(fontFolder(), file)))
  }
  return files
}

/** The files of each page that were written from the same before: they need not be written again. */
function filesBySource(before: ReadonlyMap<string, SiteFile>) {
  const bySource = new Map<string, SiteFile[]>()
  for (const file of before.values()) {
    if (!file.source) continue
    const own = bySource.get(file.source)
    if (own) own.push(file)
    else bySource.set(file.source, [file])
  }
  return bySource
}

/** All files of a site: pages some at a time, and of them only those that are other than before. */
async function writeFiles(
  siteId: string,
  source: Source,
  watch: WorkWatch,
  transaction: Transaction,
): Promise<{ readonly files: readonly SiteFile[]; readonly written: number } | undefined> {
  const { pictures, fonts, paths, before } = source
  // Clean as it was stored; what a database holds from elsewhere is cleaned at the last door.
  const frame = withCleanSnippets(source.frame)
  const shared = sharedFiles(frame, source.shades, source, paths)
  const first = await putFiles(shared, null, before)
  const shipped = await putFiles(await filesOfFonts(frame), null, before)
  const own = await ownFontsOf(frame, fonts, before)
  const shown = await pictureFiles(pictures, frame.palette, before, watch)
  if (!shown) return undefined
  const files = [...first.put, ...shipped.put, ...own.files, ...shown.files]
  let written = first.written + shipped.written + own.written + shown.written
  const face = hashOf(`${rendererVersion} ${pageFace(frame, pictures, paths)}`)
  const kept = filesBySource(before)
  const sourceOfPage = ({ hash }: RecordState) => `${face.slice(0, 32)} ${hash.slice(0, 32)}`
  const fresh = source.pages.filter((page) => {
    const known = source.outdated.has(page.id) ? undefined : kept.get(sourceOfPage(page))
    if (known) files.push(...known)
    return !known
  })
  for (let at = 0; at < fresh.length; at += AT_ONCE) {
    if (watch.isCancelled()) return undefined
    const batch = await loadStates(siteId, fresh.slice(at, at + AT_ONCE), transaction, false)
    for (const state of batch) {
      const page = withCleanSnippets(state.record as Page)
      const own = pageFiles(siteDocs(frame, [page]), page, pictures, paths)
      const put = await putFiles(own, sourceOfPage(state), before)
      files.push(...put.put)
      written += put.written
    }
    watch.report((at + batch.length) / fresh.length, 'writing pages')
  }
  return { files, written }
}

/** Whoever publishes a site does so alone, on however many servers. */
const alone = (siteId: string, transaction: Transaction) =>
  tell('select pg_advisory_xact_lock(hashtext($1))', [`publish ${siteId}`], transaction)

const fileColumns = { site_id: 'text', name: 'text', hash: 'text', source: 'text' } as const

/** Puts the new list of files in place of the one before. */
async function exchangeList(
  siteId: string,
  before: ReadonlyMap<string, SiteFile>,
  files: readonly SiteFile[],
  transaction: Transaction,
): Promise<void> {
  const names = new Set(files.map(({ name }) => name))
  const gone = [...before.keys()].filter((name) => !names.has(name))
  const changed = files.filter(({ name, hash, source }) => {
    const old = before.get(name)
    return old?.hash !== hash || old.source !== source
  })
  await tell(
    'delete from publication_files where site_id = $1 and name = any($2::text[])',
    [siteId, gone],
    transaction,
  )
  await insertRows(
    'publication_files',
    fileColumns,
    changed.map((file) => ({ ...file, site_id: siteId })),
    transaction,
    'on conflict (site_id, name) do update set hash = excluded.hash, source = excluded.source',
  )
}

/**
 * Publishes a site as static files, all of one moment. Files lie under their
 * hashes, and only those that are new are written; the list of them takes the
 * place of the one before in one step, so a visitor never meets a mixture, and a
 * run that fails leaves what was published before.
 */
export async function publish(
  actor: Actor,
  siteId: string,
  watch: WorkWatch = unwatched,
): Promise<Result<Publication & { readonly written: number }>> {
  const allowed = await siteFor(actor, 'publish', siteId)
  if (!allowed.ok) return allowed
  // One connection holds the turn and writes, one reads the site at one moment: so one
  // site at a time in a process, lest all wait for a second one.
  return inTurn('publish', () =>
    models().sequelize.transaction(async (turn) => {
      await alone(siteId, turn)
      await keepTidyAway(turn)
      const made = await atOneMoment(async (transaction) => {
        const found = await siteFor(actor, 'publish', siteId, transaction)
        if (!found.ok) return found
        const { revision } = found.value
        const source = await sourceOf(siteId, revision, transaction)
        const wrote = await writeFiles(siteId, source, watch, transaction)
        if (!wrote) return refused({ code: 'cancelled' })
        const states = await statesOfKind(siteId, allRecordKinds, transaction)
        return done({ ...wrote, revision, states, before: source.before })
      })
      if (!made.ok) return made
      await watch.landed?.({ written: made.value.written }, turn)
      return done(await putInPlace(siteId, made.value, turn))
    }),
  )
}

interface Made {
  readonly revision: number
  readonly files: readonly SiteFile[]
  readonly written: number
  readonly states: readonly RecordState[]
  readonly before: ReadonlyMap<string, SiteFile>
}

/** The list of files, and of the records that they were made from, in place of those before. */
async function putInPlace(
  siteId: string,
  { revision, files, written, states, before }: Made,
  transaction: Transaction,
): Promise<Publication & { readonly written: number }> {
  const { Publication: Published } = models()
  const snapshot = randomUUID()
  await keepStates(snapshot, siteId, states, transaction)
  await exchangeList(siteId, before, files, transaction)
  const old = await Published.findByPk(siteId, { transaction })
  if (old?.snapshot) {
    await tell('delete from snapshot_records where snapshot = $1', [old.snapshot], transaction)
  }
  const createdAt = new Date()
  // Not by upsert(), which leaves the time of the first publication as it was.
  await tell(
    `insert into publications (site_id, revision, snapshot, created_at) values ($1, $2, $3, $4)
     on conflict (site_id) do update set revision = excluded.revision,
       snapshot = excluded.snapshot, created_at = excluded.created_at`,
    [siteId, revision, snapshot, createdAt.toISOString()],
    transaction,
  )
  return { ...publicationEntry({ siteId, revision, createdAt }, files.length), written }
}
