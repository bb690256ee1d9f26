import { done, refused, type BegunSite, type Result } from '@/core/payloads'
import { mayBegin, type Actor } from '../access'
import { database } from '../database/connection'
import { createSite } from '../sites/create'
import { newSite } from '../sites/new-site'
import { keepFile } from '../records'
import { keepHistory } from './history'
import { readArchive, type ReadSite } from './read-archive'
import { ArchiveRefused } from './refused'

/** Begins a site from an archive, whole or not at all. */
export async function beginFromArchive(actor: Actor, bytes: Buffer): Promise<Result<BegunSite>> {
  let site: ReadSite
  try {
    site = await readArchive(bytes)
  } catch (error) {
    if (error instanceof ArchiveRefused) return refused({ code: 'archive', why: error.why })
    throw error
  }
  for (const [hash, data] of site.files) await keepFile(hash, data)
  const { name } = site.docs.frame
  return database().transaction(async (transaction) => {
    const workspace = await mayBegin(actor, undefined, transaction)
    if (workspace === undefined) return refused({ code: 'forbidden' })
    const begun = await newSite(workspace, name, transaction)
    const revision = site.history.at(-1)?.revision ?? 0
    await createSite({ ...begun, revision }, site.docs, transaction)
    await keepHistory(actor, begun.id, site.history, transaction)
    return done({ id: begun.id, name, leftOut: site.leftOut })
  })
}
