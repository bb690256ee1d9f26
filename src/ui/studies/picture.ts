import type { FoundColor } from '@/workers/extract.worker'
import { decodePicture } from '../color'

/** Most colours that are asked of one picture; fewer are the first of these. */
export const mostFound = 12

export type PictureRead =
  | { readonly ok: true; readonly found: readonly FoundColor[] }
  | { readonly ok: false; readonly wrong: string }

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
  const bitmap = await decodePicture(file, url)
  if (typeof bitmap === 'string') return { ok: false, wrong: bitmap }
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
