import type { Transaction } from 'sequelize'
import { done, type Result } from '@/core/payloads'
import { readSlotColors, slotColorsOf, withSlotColors, type SlotColors } from '@/core/render'
import {
  fileHash,
  picturesIn,
  textFault,
  type DocId,
  type Frame,
  type Page,
  type Picture,
  type Pictures,
} from '@/core/site'
import { siteFor, type Actor } from '../access'
import { select, showsPicture } from '../database/sets'
import { loadFrame, loadRecords, loadStates, type RecordState } from '../records'
import { fileStore, mediaTypeOf } from '../storage'
import { sweptVector } from '../uses'

export interface PictureFile {
  readonly details: Pick<Picture, 'mediaType'>
  readonly data: Uint8Array
}

/** Which file of a picture, in which colours of slots (as addresses carry them), and as which dry run would leave it. */
export interface AskedPicture {
  readonly file: string | null
  readonly slots: string | null
  readonly plan?: string | null
}

const byId = (records: ReadonlyArray<{ readonly record: unknown }>): Pictures =>
  Object.fromEntries(
    records.map(({ record }) => [(record as Picture).id, record as Picture] as const),
  )

/** The pictures that some records show. */
export async function picturesShownIn(
  siteId: string,
  records: ReadonlyArray<Frame | Page>,
  transaction?: Transaction,
): Promise<Pictures> {
  const shown = records.map(picturesIn)
  const states = await select<RecordState>(
    `select no, kind, id, hash from records where site_id = $1 and kind = 'picture'
       and (id = any($2::text[]) or path = any($3::text[]))`,
    [siteId, shown.flatMap(({ ids }) => ids), shown.flatMap(({ fileNames }) => fileNames)],
    transaction,
  )
  return byId(await loadStates(siteId, states, transaction))
}

/** Most pictures in one answer. */
const AT_ONCE = 200

/** The pictures of a site by file name, those behind one where it is given. */
export async function listPictures(
  actor: Actor,
  siteId: string,
  after = '',
): Promise<Result<readonly Picture[]>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const states = await select<RecordState>(
    `select no, kind, id, hash from records
     where site_id = $1 and kind = 'picture' and path > $2 order by path limit ${AT_ONCE}`,
    [siteId, textFault(after) ? '' : after],
  )
  const records = await loadStates(siteId, states)
  return done(records.map(({ record }) => record as Picture))
}

/** The first document that shows a picture: what all pages share, a page, or none. */
export async function pageOfPicture(
  actor: Actor,
  siteId: string,
  id: string,
): Promise<Result<DocId | null>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  if (textFault(id)) return done(null)
  const [row] = await select<{ kind: string; id: DocId }>(
    `select r.kind, r.id from records r join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind in ('frame', 'page') and ${showsPicture('$2::text')}
     order by r.kind, r.position, r.id limit 1`,
    [siteId, id],
  )
  return done(row ? (row.kind === 'frame' ? 'frame' : row.id) : null)
}

/** Some pictures of a site by their ids; those that are not there are left out. */
export async function picturesByIds(
  actor: Actor,
  siteId: string,
  ids: readonly string[],
): Promise<Result<Pictures>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const asked = ids.filter((id) => !textFault(id)).slice(0, AT_ONCE)
  const refs = asked.map((id) => ({ kind: 'picture' as const, id }))
  return done(byId(await loadRecords(siteId, refs)))
}

/** A picture of a site with its bytes; undefined when there is none, or not for this actor. */
export async function readPicture(
  actor: Actor,
  siteId: string,
  id: string,
  { file, slots, plan }: AskedPicture,
): Promise<PictureFile | undefined> {
  const site = await siteFor(actor, 'read', siteId)
  if (!site.ok || textFault(id) || textFault(plan)) return undefined
  if (file) {
    const found = await pictureOfFile(file)
    const shown = plan ? await swept(actor, siteId, plan, id, found) : found
    return inColors(shown, readSlotColors(slots ?? ''))
  }
  const [loaded] = await loadRecords(siteId, [{ kind: 'picture', id }])
  const details = loaded?.record as Picture | undefined
  const data = details && (await fileStore().get(details.file))
  if (!details || !data) return undefined
  if (!details.slots) return { details, data }
  const { palette } = await loadFrame(siteId)
  return inColors({ details, data }, slotColorsOf(details, palette))
}

/** A vector picture as a dry run would leave it; any other as it is. */
async function swept(
  actor: Actor,
  siteId: string,
  plan: string,
  id: string,
  picture: PictureFile | undefined,
): Promise<PictureFile | undefined> {
  if (picture?.details.mediaType !== 'image/svg+xml') return picture
  const text = new TextDecoder().decode(picture.data)
  const after = await sweptVector(actor, siteId, plan, id, text)
  return { ...picture, data: new TextEncoder().encode(after) }
}

/** A vector picture with what slots come to; any other as it is. */
function inColors(picture: PictureFile | undefined, colors: SlotColors): PictureFile | undefined {
  if (picture?.details.mediaType !== 'image/svg+xml' || colors.length === 0) return picture
  const text = withSlotColors(new TextDecoder().decode(picture.data), colors)
  return { ...picture, data: new TextEncoder().encode(text) }
}

/** A file that was taken as a picture, by its hash: the edit that puts it on the site may be on its way. */
async function pictureOfFile(file: string): Promise<PictureFile | undefined> {
  if (!fileHash.safeParse(file).success) return undefined
  const data = await fileStore().get(file)
  const mediaType = data && (await mediaTypeOf(data))
  return data && mediaType ? { details: { mediaType }, data } : undefined
}
