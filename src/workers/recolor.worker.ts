import { colorOf } from '@/core/color'
import { flatColors, markedArea, pixelRecolorer, type Recoloring } from '@/core/picture'

/** Longest side of the copy that is shown while one chooses. */
const LONGEST = 900

export interface RecolorWish {
  readonly from: string
  readonly to: string
  readonly tolerance: number
}

/** A picture to begin with, then what is wished of it, each with a number that comes back. */
export type RecolorQuestion = { readonly picture: Blob } | ({ readonly turn: number } & RecolorWish)

export type RecolorAnswer =
  | { readonly before: ImageBitmap }
  | { readonly problem: 'unreadable' }
  | {
      readonly turn: number
      readonly after: ImageBitmap
      readonly marked: ImageBitmap
      /** How much of the picture is recoloured, 0…1. */
      readonly share: number
    }

let pixels: ImageData | undefined

async function open(picture: Blob): Promise<RecolorAnswer> {
  try {
    const whole = await createImageBitmap(picture)
    const scale = Math.min(1, LONGEST / Math.max(whole.width, whole.height))
    const [width, height] = [whole.width, whole.height].map((side) =>
      Math.max(1, Math.round(side * scale)),
    ) as [number, number]
    const canvas = new OffscreenCanvas(width, height)
    const context = canvas.getContext('2d', { willReadFrequently: true })!
    context.imageSmoothingQuality = 'high'
    context.drawImage(whole, 0, 0, width, height)
    whole.close()
    pixels = context.getImageData(0, 0, width, height)
    return { before: canvas.transferToImageBitmap() }
  } catch {
    return { problem: 'unreadable' }
  }
}

/** Black where nothing is marked, clear where all of it is. */
function veil(marked: Uint8ClampedArray): Uint8ClampedArray<ArrayBuffer> {
  const data = new Uint8ClampedArray(marked.length * 4)
  marked.forEach((share, i) => {
    data[i * 4 + 3] = (255 - share) * 0.78
  })
  return data
}

async function recolored({ data, width, height }: ImageData, recoloring: Recoloring) {
  const flat = flatColors(data)
  const copy = new Uint8ClampedArray(data)
  const count = width * height
  const share = pixelRecolorer(recoloring, flat)(copy, 0, count) / count
  const after = await createImageBitmap(new ImageData(copy, width, height))
  const marked = await createImageBitmap(
    new ImageData(veil(markedArea(recoloring, data, flat)), width, height),
  )
  return { after, marked, share }
}

/** What was asked last; what came before it need not be answered any more. */
let last = 0

self.onmessage = async ({ data }: MessageEvent<RecolorQuestion>) => {
  if ('picture' in data) {
    const answer = await open(data.picture)
    return self.postMessage(answer, { transfer: 'before' in answer ? [answer.before] : [] })
  }
  const { turn, from, to, tolerance } = data
  last = turn
  await new Promise((resolve) => setTimeout(resolve))
  if (turn !== last || !pixels) return
  const told = await recolored(pixels, { from: colorOf(from)!, to: colorOf(to)!, tolerance })
  self.postMessage({ turn, ...told }, { transfer: [told.after, told.marked] })
}
