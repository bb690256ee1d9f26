import { unzipSync, zipSync, strToU8, type Zippable } from 'fflate'
import { canonicalJson, recordsOf } from '@/core/site'
import { localOwner } from '../access'
import { siteId } from '../database/database.fixture'
import { select } from '../database/sets'
import { loadWhole } from '../records'
import { checkIndex } from '../uses'
import { writeArchive } from '.'

export const written = async (site = siteId) => {
  const archive = await writeArchive(localOwner, site)
  if (!archive.ok) throw new Error(archive.problem.code)
  return Buffer.from(archive.value.data)
}
export const countSites = async () =>
  (await select<{ count: number }>('select count(*)::int as count from sites', []))[0]!.count
export const countFaults = async () => (await checkIndex()).faults.length
export const recordsIn = async (site: string) =>
  recordsOf(await loadWhole(site)).map(({ kind, id, record }) => [kind, id, canonicalJson(record)])

/** An archive with some of its entries changed. */
export async function changed(
  change: (entries: Record<string, Uint8Array>) => void,
): Promise<Buffer> {
  const entries = unzipSync(await written())
  change(entries)
  return Buffer.from(zipSync(entries as Zippable))
}
export const manifest = (entries: Record<string, Uint8Array>) =>
  JSON.parse(Buffer.from(entries['site.json']!).toString()) as {
    version: number
    records: Array<{ kind: string; id: string; hash: string; schema: number }>
    files: string[]
  }
export const withManifest = (entries: Record<string, Uint8Array>, next: object) => {
  entries['site.json'] = strToU8(JSON.stringify(next))
}
