import type { FoundColor } from '@/workers/extract.worker'

/** Most colours that are asked of one picture; fewer are the first of these. */
export const mostFound = 12

const LARGEST_FILE = 60_000_000

export type PictureRead =
  | { readonly ok: true; readonly found: readonly FoundColor[] }
  | { readonly ok: false; readonly wrong: string }

/** Decodes off the main thread; a vector picture goes through an image element, which is what can draw it. */
async function decode(file: Blob, url: string): Promise<ImageBitmap> {
  if (!file.type.includes('svg')) return createImageBitmap(file)
  const image = new Image(512, 512)
  image.src = url
  await image.decode()
  return createImageBitmap(image, { resizeWidth: 512, resizeQuality: 'high' })
}

function inWorker(bitmap: ImageBitmap): Promise<readonly FoundColor[]> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('../../workers/extract.worker.ts', import.meta.url), {
      type: 'module',
    })
    worker.onmessage = ({ data }: MessageEvent<readonly FoundColor[]>) => {
      worker.terminate()
      resolve(data)
    }
    worker.onerror = (event) => {
      worker.terminate()
      reject(new Error(event.message))
    }
    worker.postMessage({ bitmap, count: mostFound }, [bitmap])
  })
}

/** The colours of a picture, or what is wrong with it in words. */
export async function readPicture(file: Blob, url: string): Promise<PictureRead> {
  if (file.size > LARGEST_FILE) {
    return {
      ok: false,
      wrong: 'This file is over 60 MB. Save a smaller copy of the picture and take that.',
    }
  }
  let bitmap: ImageBitmap
  try {
    bitmap = await decode(file, url)
  } catch {
    return {
      ok: false,
      wrong:
        'This file cannot be read as a picture; it may be damaged. Take a PNG, JPEG, WebP, GIF, AVIF or SVG.',
    }
  }
  try {
    const found = await inWorker(bitmap)
    if (found.length) return { ok: true, found }
    return {
      ok: false,
      wrong: 'This picture is transparent all over, so it holds no colour. Take another.',
    }
  } catch {
    return {
      ok: false,
      wrong: 'The picture was too much for this browser. Save a smaller copy and take that.',
    }
  }
}
