import { done, type Result, type TakenFont } from '@/core/payloads'
import { fileHash, fileName, idFromName } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { hashOf, keepFile } from '../records'
import { fileStore, isWoff2 } from '../storage'
import { readFontApart } from './read-font'

/**
 * Takes the bytes of a font into the file store and says how the record of it would be. The site
 * itself is not changed: adding the font is an edit.
 */
export async function takeFont(
  actor: Actor,
  siteId: string,
  bytes: Uint8Array,
): Promise<Result<TakenFont>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const readied = await readFontApart(bytes)
  if (!readied.ok) return readied
  const { data, ...about } = readied.value
  const file = hashOf(data)
  await keepFile(file, data)
  const { family, style, weights } = about
  const stem = idFromName(`${family} ${weights.join(' ')} ${style}`, [], 'font')
  return done({ ...about, file, fileName: fileName.parse(`${stem}-${file.slice(0, 8)}.woff2`) })
}

/** A font of a site by the hash of its file: the edit that puts it on the site may be on its way. */
export async function readFontFile(
  actor: Actor,
  siteId: string,
  file: string,
): Promise<Uint8Array | undefined> {
  if (!fileHash.safeParse(file).success) return undefined
  const found = await siteFor(actor, 'read', siteId)
  const data = found.ok ? await fileStore().get(file) : undefined
  return data && isWoff2(data) ? data : undefined
}
