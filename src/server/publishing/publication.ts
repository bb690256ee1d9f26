import { Zip, ZipDeflate } from 'fflate'
import { done, refused, type Publication, type Result } from '@/core/payloads'
import { textFault } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { models, type PublicationRow } from '../database/models'
import { select } from '../database/sets'
import { unwatched, type WorkWatch } from '../edits'
import { hashOf } from '../records'
import { fileStore } from '../storage'

/** Where published sites are served: on an origin of their own, where the application has been given one. */
const publishedOrigin = () => process.env.EASEL_PUBLISHED ?? ''

export function publicationEntry(
  {
    siteId,
    revision,
    createdAt,
  }: Pick<PublicationRow, 'siteId' | 'revision'> & {
    readonly createdAt: Date
  },
  files: number,
): Publication {
  return {
    address: `${publishedOrigin()}/published/${siteId}/`,
    revision,
    files,
    at: createdAt.toISOString(),
  }
}

export async function publicationOf(
  actor: Actor,
  siteId: string,
): Promise<Result<Publication | null>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const row = await models().Publication.findByPk(siteId)
  if (!row) return done(null)
  const [counted] = await select<{ count: number }>(
    'select count(*)::int as count from publication_files where site_id = $1',
    [siteId],
  )
  return done(publicationEntry(row, counted!.count))
}

/** The published site as one archive, a file at a time; none where a file of it is gone. */
export async function publishedZip(
  actor: Actor,
  siteId: string,
  { report, isCancelled }: WorkWatch = unwatched,
): Promise<Result<Uint8Array>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const files = await select<{ name: string; hash: string }>(
    'select name, hash from publication_files where site_id = $1 order by name',
    [siteId],
  )
  if (files.length === 0) return refused({ code: 'not-published' })
  const store = fileStore()
  const chunks: Uint8Array[] = []
  const zip = new Zip((error, chunk) => {
    if (error) throw error
    chunks.push(chunk)
  })
  for (const [at, { name, hash }] of files.entries()) {
    if (isCancelled()) return refused({ code: 'cancelled' })
    const data = await store.get(hash)
    if (!data) return refused({ code: 'publication-gone' })
    const entry = new ZipDeflate(`${siteId}/${name}`, { level: 6 })
    zip.add(entry)
    entry.push(new Uint8Array(data), true)
    report(at / files.length, 'packing')
  }
  zip.end()
  return done(new Uint8Array(Buffer.concat(chunks)))
}

/** Packs the published site and keeps the archive for a while; its hash. */
export async function pack(
  actor: Actor,
  siteId: string,
  watch: WorkWatch,
): Promise<Result<string>> {
  const zip = await publishedZip(actor, siteId, watch)
  if (!zip.ok) return zip
  const hash = hashOf(zip.value)
  await fileStore().put(hash, zip.value)
  return done(hash)
}

/** An archive that was packed for a site, as the work which packed it names it. */
export async function packedFile(
  actor: Actor,
  siteId: string,
  hash: string,
): Promise<Result<Uint8Array>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const [job] = await select<{ id: string }>(
    `select id from jobs where site_id = $1 and kind = 'pack' and state = 'done'
       and result = $2 limit 1`,
    [siteId, JSON.stringify({ file: hash })],
  )
  const data = job && (await fileStore().get(hash))
  return data ? done(data) : refused({ code: 'publication-gone' })
}

/** One file of a published site, for anybody who asks: published is public. */
export async function publishedFile(siteId: string, name: string): Promise<Uint8Array | undefined> {
  if (textFault([siteId, name])) return undefined
  const wanted = name === '' ? 'index.html' : name
  const [file] = await select<{ hash: string }>(
    `select f.hash from publication_files f join sites s on s.id = f.site_id
     where f.site_id = $1 and f.name = $2 and s.removed_at is null`,
    [siteId, wanted],
  )
  return file && fileStore().get(file.hash)
}
