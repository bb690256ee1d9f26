import { writeHex } from '@/core/color'
import { extractColors } from '@/core/palette'

/** Pixels that colours are looked for in, at most; the browser averages a larger picture down to it. */
const MOST_PIXELS = 1_200_000
/** Pixels above which a picture is refused, before memory runs out. */
const TOO_MANY = 120_000_000
/** Longest side of the small copy that is shown. */
const PREVIEW = 600

export interface FoundColor {
  readonly value: string
  readonly share: number
  readonly x: number
  readonly y: number
}

/** A picture as a file, or decoded where only the page can do that; what is wanted of it. */
export type PictureQuestion = { readonly picture: Blob | ImageBitmap } & (
  | { readonly want: 'colors'; readonly count: number }
  | { readonly want: 'bitmap'; readonly longest: number }
)

export type PictureAnswer =
  | { readonly ok: true; readonly found: readonly FoundColor[]; readonly preview: Blob }
  | { readonly ok: true; readonly bitmap: ImageBitmap }
  | { readonly ok: false; readonly problem: 'unreadable' | 'too-many-pixels' }

/** The picture drawn no larger than a scale allows. */
function drawn(bitmap: ImageBitmap, scale: number): OffscreenCanvas {
  const within = Math.min(1, scale)
  const width = Math.max(1, Math.round(bitmap.width * within))
  const height = Math.max(1, Math.round(bitmap.height * within))
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.imageSmoothingQuality = 'high'
  context.drawImage(bitmap, 0, 0, width, height)
  return canvas
}

async function answer(question: PictureQuestion): Promise<PictureAnswer> {
  const { picture } = question
  let bitmap: ImageBitmap
  try {
    bitmap = picture instanceof Blob ? await createImageBitmap(picture) : picture
  } catch {
    return { ok: false, problem: 'unreadable' }
  }
  const longest = Math.max(bitmap.width, bitmap.height)
  const pixels = bitmap.width * bitmap.height
  if (pixels > TOO_MANY) return { ok: false, problem: 'too-many-pixels' }
  if (question.want === 'bitmap') {
    return { ok: true, bitmap: drawn(bitmap, question.longest / longest).transferToImageBitmap() }
  }
  const canvas = drawn(bitmap, Math.sqrt(MOST_PIXELS / pixels))
  const data = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height)
  const found = extractColors(data, question.count).map(({ color, share, x, y }) => ({
    value: writeHex(color),
    share,
    x,
    y,
  }))
  const preview = await drawn(bitmap, PREVIEW / longest).convertToBlob({ type: 'image/png' })
  bitmap.close()
  return { ok: true, found, preview }
}

/** Decodes, draws and looks, away from the page; its first frame, if the picture is animated. */
self.onmessage = async ({ data }: MessageEvent<PictureQuestion>) => {
  const told = await answer(data)
  self.postMessage(told, { transfer: 'bitmap' in told ? [told.bitmap] : [] })
}
