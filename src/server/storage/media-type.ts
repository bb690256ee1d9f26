import sharp from 'sharp'
import type { PictureMediaType } from '@/core/site'

const MEDIA_TYPES: Readonly<Record<string, PictureMediaType>> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  heif: 'image/avif',
  svg: 'image/svg+xml',
}

/** The root element of a vector picture, behind declarations and comments: a web page may hold drawings further on. */
const SVG_ROOT =
  /^\ufeff?(?:\s|<\?[^>]*>|<!--[^]*?-->|<!DOCTYPE[^[>]*(?:\[[^\]]*\]\s*)?>)*<(?:[\w.-]+:)?svg[\s/>]/i
/** How much of a file is looked at for its root. */
const HEAD = 100_000

/** The media type of a picture, read from its bytes; undefined where they are no picture that sites hold. */
export async function mediaTypeOf(bytes: Uint8Array): Promise<PictureMediaType | undefined> {
  try {
    const { format } = await sharp(bytes).metadata()
    const mediaType = MEDIA_TYPES[format]
    if (mediaType !== 'image/svg+xml') return mediaType
    const head = Buffer.from(bytes.subarray(0, HEAD)).toString('utf8')
    return SVG_ROOT.test(head) ? mediaType : undefined
  } catch {
    return undefined
  }
}

/** Whether bytes begin as a WOFF2 font does (WOFF File Format 2.0, §4). */
export const isWoff2 = (bytes: Uint8Array): boolean =>
  Buffer.from(bytes.subarray(0, 4)).toString('latin1') === 'wOF2'
