import { colorOf } from '@/core/color'
import {
  done,
  refused,
  type RecoloredPicture,
  type RecolorRequest,
  type Result,
} from '@/core/payloads'
import { flatColors, pixelRecolorer } from '@/core/picture'
import { textFault, type Picture } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { hashOf, keepFile, loadRecords } from '../records'
import { freeName } from '../sites/take-picture'
import { fileStore } from '../storage'
import { lossless, pixelsOf, type RawPixels } from './pixels'

/** Pixels between two breaths: other requests are answered meanwhile. */
const AT_ONCE = 120_000

const breath = () => new Promise<void>((resolve) => setImmediate(resolve))

async function recolor(
  { data, width, height }: RawPixels,
  { from, to, tolerance }: RecolorRequest,
): Promise<number> {
  const recoloring = { from: colorOf(from)!, to: colorOf(to)!, tolerance }
  const change = pixelRecolorer(recoloring, flatColors(data))
  const count = width * height
  let marked = 0
  for (let at = 0; at < count; at += AT_ONCE) {
    marked += change(data, at, Math.min(count, at + AT_ONCE))
    await breath()
  }
  return marked / count
}

/**
 * Makes a copy of a picture of pixels in which one hue is another one, and says how the record of
 * it would be. The picture itself and its file stay: putting the copy anywhere is an edit.
 */
export async function recoloredPicture(
  actor: Actor,
  siteId: string,
  id: string,
  request: RecolorRequest,
): Promise<Result<RecoloredPicture>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const [loaded] = textFault(id) ? [] : await loadRecords(siteId, [{ kind: 'picture', id }])
  const picture = loaded?.record as Picture | undefined
  if (!picture) return refused({ code: 'not-found' })
  if (picture.mediaType === 'image/svg+xml') return refused({ code: 'picture', why: 'vector' })
  const bytes = await fileStore().get(picture.file)
  const pixels = bytes && (await pixelsOf(bytes))
  if (!pixels) return refused({ code: 'picture', why: 'not-a-picture' })
  const share = await recolor(pixels, request)
  if (share === 0) return refused({ code: 'picture', why: 'no-such-hue' })
  const as = picture.mediaType === 'image/png' ? 'png' : 'webp'
  const data = await lossless(pixels, as)
  const file = hashOf(data)
  await keepFile(file, data)
  const stem = picture.fileName.replace(/\.[^.]*$/, '')
  const ending = picture.fileName.slice(stem.length + 1) || 'jpg'
  return done({
    file,
    fileName: await freeName(siteId, stem, as),
    mediaType: `image/${as}`,
    width: pixels.width,
    height: pixels.height,
    share,
    originalName: await freeName(siteId, `${stem}-original`, ending),
  })
}
