import { writeHex } from '@/core/color'
import { extractColors } from '@/core/palette'

/** Pixels that are looked at, at most; the browser averages a larger picture down to it. */
const MOST_PIXELS = 1_200_000

export interface FoundColor {
  readonly value: string
  readonly share: number
  readonly x: number
  readonly y: number
}

/** Draws a picture that was handed over, and tells its colours, most important first. */
self.onmessage = ({
  data: { bitmap, count },
}: MessageEvent<{ bitmap: ImageBitmap; count: number }>) => {
  const scale = Math.min(1, Math.sqrt(MOST_PIXELS / (bitmap.width * bitmap.height)))
  const width = Math.max(1, Math.round(bitmap.width * scale))
  const height = Math.max(1, Math.round(bitmap.height * scale))
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!
  context.imageSmoothingQuality = 'high'
  context.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  const found = extractColors(context.getImageData(0, 0, width, height), count)
  const told: FoundColor[] = found.map(({ color, share, x, y }) => ({
    value: writeHex(color),
    share,
    x,
    y,
  }))
  self.postMessage(told)
}
