import { done, type Result, type TakenPicture } from '@/core/payloads'
import { slotsInVector } from '@/core/render'
import { fileName, idFromName, type Picture } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { select } from '../database/sets'
import { hashOf, keepFile, loadStates, type RecordState } from '../records'
import { readyPicture } from './ready-picture'

/** A file name that published sites can have and no other picture of the site has. */
export async function freeName(siteId: string, given: string, ending: string): Promise<string> {
  const stem = idFromName(given.replace(/\.[^.]*$/, ''), [], 'picture')
  const rows = await select<{ path: string }>(
    `select path from records where site_id = $1 and kind = 'picture' and starts_with(path, $2)`,
    [siteId, stem],
  )
  const taken = new Set(rows.map(({ path }) => path))
  let name = `${stem}.${ending}`
  for (let n = 2; taken.has(name); n += 1) name = `${stem}-${n}.${ending}`
  return fileName.parse(name)
}

/** The picture of the site that has these very bytes already. */
async function sameBytes(siteId: string, file: string): Promise<Picture | undefined> {
  const states = await select<RecordState>(
    `select r.no, r.kind, r.id, r.hash from records r
       join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind = 'picture' and c.body::jsonb ->> 'file' = $2 limit 1`,
    [siteId, file],
  )
  const [loaded] = await loadStates(siteId, states)
  return loaded?.record as Picture | undefined
}

/** The slots that a vector picture refers to, where it comes from another site of ours. */
function followed(mediaType: Picture['mediaType'], data: Uint8Array): Pick<Picture, 'slots'> {
  if (mediaType !== 'image/svg+xml') return {}
  const slots = slotsInVector(new TextDecoder().decode(data))
  return slots.length ? { slots } : {}
}

/**
 * Takes the bytes of a picture into the file store and says how the record of it would be.
 * The site itself is not changed: adding the picture is an edit.
 */
export async function takePicture(
  actor: Actor,
  siteId: string,
  given: string,
  bytes: Uint8Array,
): Promise<Result<TakenPicture>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const readied = await readyPicture(bytes)
  if (!readied.ok) return readied
  const { data, ending, mediaType, width, height, leftOut = [] } = readied.value
  const file = hashOf(data)
  await keepFile(file, data)
  const known = await sameBytes(siteId, file)
  const name = await freeName(siteId, given, ending)
  const told = leftOut.length ? { leftOut } : {}
  return done(
    known
      ? { known, fileName: name, ...told }
      : { file, fileName: name, mediaType, width, height, ...followed(mediaType, data), ...told },
  )
}
