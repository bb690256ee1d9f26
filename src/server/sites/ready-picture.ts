import sharp from 'sharp'
import { cleanSvg, leftOutOfSvg } from '@/core/markup'
import { done, refused, type PictureFault, type Result } from '@/core/payloads'
import type { Picture } from '@/core/site'

/** Most pixels that a picture may have: a bomb has more. */
const MOST_PIXELS = 64_000_000
/** Longest side that is kept; no screen shows more of a picture on a page. */
const LONGEST = 2560
const QUALITY = 86

/** A picture as it is kept: its bytes, and what they are. */
export interface Readied extends Pick<Picture, 'mediaType' | 'width' | 'height'> {
  readonly data: Uint8Array
  readonly ending: string
  /** What stood in it and is not kept. */
  readonly leftOut?: readonly string[]
}

const fault = (why: PictureFault) => refused({ code: 'picture', why })

const KEPT = {
  jpeg: ['image/jpeg', 'jpg'],
  png: ['image/png', 'png'],
  webp: ['image/webp', 'webp'],
} as const

/** A vector picture, cleaned; what its size is, the renderer of pixels says. */
async function readyVector(text: string): Promise<Result<Readied>> {
  const clean = cleanSvg(text)
  if (!clean) return fault('unclean-vector')
  const data = Buffer.from(clean)
  const { width, height } = await sharp(data, { limitInputPixels: MOST_PIXELS }).metadata()
  if (!width || !height) return fault('unclean-vector')
  const leftOut = leftOutOfSvg(text, clean)
  return done({ data, ending: 'svg', mediaType: 'image/svg+xml', width, height, leftOut })
}

/**
 * A picture of pixels: upright, no larger than any screen shows, without the place and the
 * camera that its file may tell. One that is so already is kept to the byte.
 */
async function readyPixels(bytes: Uint8Array): Promise<Result<Readied>> {
  const open = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'truncated' })
  const { format, width, height, orientation, exif, xmp, iptc, pages, compression } =
    await open().metadata()
  const isKnown = format === 'jpeg' || format === 'png' || format === 'webp' || format === 'gif'
  const isAvif = format === 'heif' && compression === 'av1'
  if (!isKnown && !isAvif) return fault('not-a-picture')
  const isPlain = !exif && !xmp && !iptc && (orientation ?? 1) === 1 && (pages ?? 1) === 1
  const fits = Math.max(width, height) <= LONGEST
  if (isPlain && fits && isKnown && format !== 'gif') {
    // Read to its end: what is cut off is told.
    await open().resize(16).toBuffer()
    const [mediaType, ending] = KEPT[format]
    return done({ data: bytes, ending, mediaType, width, height })
  }
  const upright = open()
    .rotate()
    .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
  const to = format === 'jpeg' ? 'jpeg' : format === 'png' || format === 'gif' ? 'png' : 'webp'
  const { data, info } = await upright
    .toFormat(to, to === 'png' ? {} : { quality: QUALITY })
    .toBuffer({ resolveWithObject: true })
  const [mediaType, ending] = KEPT[to]
  return done({ data, ending, mediaType, width: info.width, height: info.height })
}

/** Whether some bytes are the text of a vector picture, whatever their file is called. */
function vectorText(bytes: Uint8Array): string | undefined {
  const head = Buffer.from(bytes.subarray(0, 400))
    .toString('utf8')
    .replace(/^\ufeff/, '')
    .trimStart()
  if (!head.startsWith('<')) return undefined
  return Buffer.from(bytes).toString('utf8')
}

/** A picture as it may be kept, made of whatever bytes somebody brings; or why it cannot be taken. */
export async function readyPicture(bytes: Uint8Array): Promise<Result<Readied>> {
  try {
    const text = vectorText(bytes)
    return text === undefined ? await readyPixels(bytes) : await readyVector(text)
  } catch (error) {
    const words = error instanceof Error ? error.message : ''
    if (/pixel limit/i.test(words)) return fault('too-many-pixels')
    if (/premature|truncated|ended|corrupt|bad seek|end of/i.test(words)) return fault('cut-short')
    return fault('not-a-picture')
  }
}
