import yauzl, { type Entry, type ZipFile } from 'yauzl'
import { deepestJson, jsonDepth } from '@/core/formats'
import type { LeftOut } from '@/core/payloads'
import { withCleanSnippets } from '@/core/markup'
import {
  homePath,
  isUnreadable,
  isTree,
  isWholeRecord,
  readRecord,
  recordKinds,
  siteDocs,
  textFault,
  type Font,
  type Frame,
  type Page,
  type Picture,
  type RecordKind,
  type SiteDocs,
} from '@/core/site'
import { hashOf } from '../records'
import { readyFont } from '../fonts/ready-font'
import { readyPicture } from '../sites/ready-picture'
import { isWoff2 } from '../storage'
import {
  archiveVersion,
  fileEntryName,
  historyName,
  manifestSchema,
  mostFile,
  mostHistory,
  mostRecord,
  mostUnpacked,
  recordName,
  type Manifest,
} from './format'
import { filesIn, readHistory, type ArchivedHistory } from './history'
import { ArchiveRefused } from './refused'

/** A site that was read: its records, and its files by hash. */
export interface ReadSite {
  readonly docs: SiteDocs
  readonly files: ReadonlyMap<string, Uint8Array>
  /** Empty where the archive holds none. */
  readonly history: ArchivedHistory
  /** What of pictures and snippets may not be kept. */
  readonly leftOut: readonly LeftOut[]
}

const KNOWN =
  /^(?:site\.json|history\.json|records\/(?:frame|page|picture|font)\/[a-z][a-z0-9-]{0,47}\.json|files\/[0-9a-f]{64})$/
/** Most entries: the manifest, the history, and as many records and files as it lists. */
const MOST_ENTRIES = 40_002

function opened(bytes: Buffer): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    // Sizes are checked against what comes out; names that lead outside are refused.
    yauzl.fromBuffer(bytes, { lazyEntries: true, validateEntrySizes: true }, (error, zip) =>
      error ? reject(error) : resolve(zip),
    )
  })
}

function read(zip: ZipFile, entry: Entry, most: number): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => {
      if (error) return reject(error)
      const chunks: Buffer[] = []
      let size = 0
      stream.on('data', (chunk: Buffer) => {
        size += chunk.length
        if (size > most) stream.destroy(new ArchiveRefused('too-large'))
        else chunks.push(chunk)
      })
      stream.on('error', reject)
      stream.on('end', () => resolve(Buffer.concat(chunks)))
    })
  })
}

const mostOf = (name: string) =>
  name === historyName ? mostHistory : name.startsWith('files/') ? mostFile : mostRecord

/** All entries of an archive by name, none that is not of it, none larger than it may be. */
async function entriesOf(bytes: Buffer): Promise<Map<string, Buffer>> {
  const zip = await opened(bytes)
  if (zip.entryCount > MOST_ENTRIES) throw new ArchiveRefused('too-large')
  const entries = new Map<string, Buffer>()
  let left = mostUnpacked
  await new Promise<void>((resolve, reject) => {
    zip.on('error', reject)
    zip.on('end', resolve)
    zip.on('entry', (entry: Entry) => {
      const name = entry.fileName
      if (!KNOWN.test(name) || entries.has(name)) return reject(new ArchiveRefused('foreign'))
      const most = Math.min(left, mostOf(name))
      if (entry.uncompressedSize > most) return reject(new ArchiveRefused('too-large'))
      read(zip, entry, most).then((data) => {
        left -= data.length
        entries.set(name, data)
        zip.readEntry()
      }, reject)
    })
    zip.readEntry()
  })
  return entries
}

function jsonOf(data: Buffer | undefined): unknown {
  if (!data) throw new ArchiveRefused('incomplete')
  const text = data.toString('utf8')
  if (jsonDepth(text) > deepestJson) throw new ArchiveRefused('tampered')
  try {
    return JSON.parse(text)
  } catch {
    throw new ArchiveRefused('tampered')
  }
}

function manifestOf(entries: ReadonlyMap<string, Buffer>): Manifest {
  const json = jsonOf(entries.get('site.json'))
  const version = Number((json as { version?: unknown } | null)?.version)
  if (version > archiveVersion) throw new ArchiveRefused('newer')
  const parsed = manifestSchema.safeParse(json)
  if (!parsed.success) throw new ArchiveRefused('tampered')
  return parsed.data
}

/** What people call the snippets of a record. */
const snippetsOf = (record: Frame | Page) =>
  'title' in record ? `snippets of the page ${record.title}` : 'snippets of header and footer'

/** A record in today's shape, as it would be stored; what is not kept of it is added to `leftOut`. */
function recordOf(
  entries: ReadonlyMap<string, Buffer>,
  listed: Manifest['records'][number],
  leftOut: LeftOut[],
) {
  const { kind, id, schema, hash } = listed
  const data = entries.get(recordName(listed))
  if (data && hashOf(data) !== hash) throw new ArchiveRefused('tampered')
  const json = jsonOf(data)
  if (textFault(json)) throw new ArchiveRefused('tampered')
  if (schema > recordKinds[kind as RecordKind].version) throw new ArchiveRefused('newer')
  const record = readRecord(kind as RecordKind, json)
  if (kind !== 'frame' && (record as { id?: string }).id !== id)
    throw new ArchiveRefused('tampered')
  if (!('body' in record)) return record
  const clean = withCleanSnippets<Frame | Page>(record)
  if (clean !== record) leftOut.push({ of: snippetsOf(record), what: [] })
  return clean
}

function checkWhole(docs: SiteDocs): void {
  const pages = Object.values(docs.pages)
  const paths = pages.map(({ path }) => path)
  const names = [...Object.values(docs.pictures), ...Object.values(docs.fonts)].map(
    ({ fileName }) => fileName,
  )
  const isWhole =
    isWholeRecord('frame', docs.frame) &&
    [docs.frame, ...pages].every(({ body }) => isTree(body)) &&
    paths.includes(homePath) &&
    new Set(paths).size === paths.length &&
    new Set(names).size === names.length
  if (!isWhole) throw new ArchiveRefused('tampered')
}

/** The file of a picture or font, as the archive holds it. */
function fileOf({ file }: { readonly file: string }, entries: ReadonlyMap<string, Buffer>): Buffer {
  const bytes = entries.get(fileEntryName(file))
  if (!bytes) throw new ArchiveRefused('incomplete')
  if (hashOf(bytes) !== file) throw new ArchiveRefused('tampered')
  return bytes
}

/** Fonts are read as if somebody uploaded them: to their end, with their rights. Their bytes stay. */
async function takeFonts(
  fonts: readonly Font[],
  entries: ReadonlyMap<string, Buffer>,
  files: Map<string, Uint8Array>,
): Promise<Font[]> {
  const taken: Font[] = []
  for (const font of fonts) {
    const bytes = fileOf(font, entries)
    if (!isWoff2(bytes)) throw new ArchiveRefused('font')
    const ready = await readyFont(bytes)
    if (!ready.ok) throw new ArchiveRefused('font')
    files.set(font.file, bytes)
    const { whole: _said, ...own } = font
    taken.push(ready.value.whole ? { ...own, whole: true } : own)
  }
  return taken
}

/** Pictures are taken as if somebody brought them anew: cleaned, and read to their end. */
async function takePictures(
  pictures: readonly Picture[],
  entries: ReadonlyMap<string, Buffer>,
  files: Map<string, Uint8Array>,
  leftOut: LeftOut[],
): Promise<Picture[]> {
  const taken: Picture[] = []
  for (const picture of pictures) {
    const bytes = fileOf(picture, entries)
    const ready = await readyPicture(bytes)
    if (!ready.ok) throw new ArchiveRefused('picture')
    const { data, mediaType, width, height, leftOut: what = [] } = ready.value
    if (mediaType !== picture.mediaType) throw new ArchiveRefused('tampered')
    if (what.length) leftOut.push({ of: picture.fileName, what })
    const file = hashOf(data)
    files.set(file, data)
    taken.push(file === picture.file ? picture : { ...picture, file, width, height })
  }
  return taken
}

/** Whether a file that only the history speaks of is a picture or a font as it may be kept, to the byte. */
async function mayBeKept(bytes: Buffer): Promise<boolean> {
  if (isWoff2(bytes)) return (await readyFont(bytes)).ok
  const ready = await readyPicture(bytes)
  return ready.ok && Buffer.compare(ready.value.data, bytes) === 0
}

/**
 * The history of an archive. Files that only it speaks of are taken where they may be kept as
 * they are; a step that leads to one that is not is refused when somebody takes it.
 */
async function historyOf(
  { history: hash }: Manifest,
  entries: ReadonlyMap<string, Buffer>,
  files: Map<string, Uint8Array>,
): Promise<ArchivedHistory> {
  if (!hash) return []
  const data = entries.get(historyName)
  if (!data) throw new ArchiveRefused('incomplete')
  if (hashOf(data) !== hash) throw new ArchiveRefused('tampered')
  const history = readHistory(data)
  for (const of of filesIn(data.toString('utf8'))) {
    const bytes = files.has(of) ? undefined : entries.get(fileEntryName(of))
    if (bytes && hashOf(bytes) === of && (await mayBeKept(bytes))) files.set(of, bytes)
  }
  return history
}

/** Reads an archive whole before anything of it is stored; throws `ArchiveRefused` where it cannot be taken. */
export async function readArchive(bytes: Buffer): Promise<ReadSite> {
  try {
    const entries = await entriesOf(bytes)
    const manifest = manifestOf(entries)
    const leftOut: LeftOut[] = []
    const records = manifest.records.map(
      (listed) => [listed.kind, recordOf(entries, listed, leftOut)] as const,
    )
    const of = <T>(kind: RecordKind) =>
      records.flatMap(([each, record]) => (each === kind ? [record as T] : []))
    const [frame, ...more] = of<Frame>('frame')
    if (!frame || more.length) throw new ArchiveRefused('tampered')
    const files = new Map<string, Uint8Array>()
    const pictures = await takePictures(of<Picture>('picture'), entries, files, leftOut)
    const fonts = await takeFonts(of<Font>('font'), entries, files)
    const docs = siteDocs(frame, of<Page>('page'), pictures, fonts)
    checkWhole(docs)
    return { docs, files, history: await historyOf(manifest, entries, files), leftOut }
  } catch (error) {
    if (error instanceof ArchiveRefused) throw error
    if (isUnreadable(error)) throw new ArchiveRefused('tampered')
    const words = error instanceof Error ? error.message : ''
    if (/invalid (?:relative )?path|absolute path|invalid characters/i.test(words))
      throw new ArchiveRefused('foreign')
    if (/too many bytes|size/i.test(words)) throw new ArchiveRefused('too-large')
    throw new ArchiveRefused('not-an-archive')
  }
}
