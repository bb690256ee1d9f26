import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import { done, refused, type Result } from '@/core/payloads'
import { allRecordKinds, type Font, type Picture, type SiteRecord } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { contentOf, hashOf, loadStates, statesOfKind } from '../records'
import { fileStore } from '../storage'
import {
  archiveFormat,
  archiveVersion,
  fileEntryName,
  historyName,
  mostHistory,
  plainVersion,
  recordName,
  type Manifest,
} from './format'
import { filesIn, writeHistory } from './history'

/** Records that are in memory as objects at the same time. */
const AT_ONCE = 100

/** Collects a ZIP entry by entry. */
function zipWriter() {
  const chunks: Uint8Array[] = []
  const zip = new Zip((error, chunk) => {
    if (error) throw error
    chunks.push(chunk)
  })
  return {
    add(name: string, data: Uint8Array, packed: boolean) {
      const entry = packed ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name)
      zip.add(entry)
      entry.push(data, true)
    },
    end(): Uint8Array {
      zip.end()
      return Buffer.concat(chunks)
    },
  }
}

/** A site as it is at one moment, with all its files, as one ZIP; with its history, where that is wanted. */
export async function writeArchive(
  actor: Actor,
  siteId: string,
  withHistory = false,
): Promise<Result<{ readonly name: string; readonly data: Uint8Array }>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const zip = zipWriter()
  const records: Manifest['records'] = []
  const files = new Set<string>()
  let name = siteId
  let history: string | undefined
  await atOneMoment(async (transaction) => {
    const states = await statesOfKind(siteId, allRecordKinds, transaction)
    for (let at = 0; at < states.length; at += AT_ONCE) {
      const batch = await loadStates(siteId, states.slice(at, at + AT_ONCE), transaction, false)
      for (const { kind, id, record } of batch) {
        const { hash, schema, body } = contentOf(kind, record as SiteRecord)
        records.push({ kind, id, schema, hash })
        zip.add(recordName({ kind, id }), strToU8(body), true)
        if (kind === 'frame') name = (record as { name: string }).name
        if (kind === 'picture' || kind === 'font') files.add((record as Picture | Font).file)
      }
    }
    if (withHistory) history = await writeHistory(siteId, transaction)
  })
  if (history && history.length > mostHistory) return refused({ code: 'archive', why: 'too-large' })
  const kept: string[] = []
  for (const hash of files) {
    const data = await fileStore().get(hash)
    if (!data) return refused({ code: 'archive', why: 'file-gone' })
    zip.add(fileEntryName(hash), data, false)
    kept.push(hash)
  }
  // What only the history speaks of may be gone: it is kept as far as it is there.
  for (const hash of history ? filesIn(history) : []) {
    const data = files.has(hash) ? undefined : await fileStore().get(hash)
    if (!data) continue
    zip.add(fileEntryName(hash), data, false)
    kept.push(hash)
  }
  if (history) zip.add(historyName, strToU8(history), true)
  const manifest: Manifest = {
    format: archiveFormat,
    version: history ? archiveVersion : plainVersion,
    name,
    madeAt: new Date().toISOString(),
    records,
    files: kept,
    ...(history ? { history: hashOf(history) } : {}),
  }
  zip.add('site.json', strToU8(JSON.stringify(manifest, null, 2)), true)
  return done({ name, data: zip.end() })
}
