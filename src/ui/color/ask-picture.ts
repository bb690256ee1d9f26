import type { PictureAnswer, PictureQuestion } from '@/workers/picture.worker'

const LARGEST_FILE = 60_000_000

const WORDS = {
  unreadable:
    'This file cannot be read as a picture; it may be damaged. Take a PNG, JPEG, WebP, GIF, AVIF or SVG.',
  'too-many-pixels':
    'This picture has more than 120 megapixels. Save a smaller copy and take that.',
  'too-large': 'This file is over 60 MB. Save a smaller copy of the picture and take that.',
  'too-much': 'The picture was too much for this browser. Save a smaller copy and take that.',
} as const

/** Only the page can draw a vector picture, which is quick; all others are decoded in the worker. */
async function opened(file: Blob): Promise<Blob | ImageBitmap> {
  if (!file.type.includes('svg')) return file
  const url = URL.createObjectURL(file)
  try {
    const image = new Image(512, 512)
    image.src = url
    await image.decode()
    return await createImageBitmap(image, { resizeWidth: 512, resizeQuality: 'high' })
  } finally {
    URL.revokeObjectURL(url)
  }
}

type Want =
  | Omit<Extract<PictureQuestion, { want: 'colors' }>, 'picture'>
  | Omit<Extract<PictureQuestion, { want: 'bitmap' }>, 'picture'>
type Given<W extends Want> = Extract<
  PictureAnswer,
  W extends { want: 'colors' } ? { preview: Blob } : { bitmap: ImageBitmap }
>

/** Asks the worker something of a picture. Gives what it found, or what is wrong in words. */
export async function askPicture<W extends Want>(file: Blob, want: W): Promise<Given<W> | string> {
  if (file.size > LARGEST_FILE) return WORDS['too-large']
  let picture: Blob | ImageBitmap
  try {
    picture = await opened(file)
  } catch {
    return WORDS.unreadable
  }
  const worker = new Worker(new URL('../../workers/picture.worker.ts', import.meta.url), {
    type: 'module',
  })
  try {
    const answer = await new Promise<PictureAnswer>((resolve, reject) => {
      worker.onmessage = ({ data }: MessageEvent<PictureAnswer>) => resolve(data)
      worker.onerror = (event) => reject(new Error(event.message))
      worker.postMessage(
        { picture, ...want },
        { transfer: picture instanceof ImageBitmap ? [picture] : [] },
      )
    })
    return answer.ok ? (answer as Given<W>) : WORDS[answer.problem]
  } catch {
    return WORDS['too-much']
  } finally {
    worker.terminate()
  }
}
