import type { FoundColor } from '@/workers/picture.worker'
import { askPicture } from './ask-picture'

/** Most colours that are asked of one picture; fewer are the first of these. */
export const mostFound = 12

export type PictureRead =
  | { readonly ok: true; readonly found: readonly FoundColor[]; readonly preview: string }
  | { readonly ok: false; readonly wrong: string }

/** The colours of a picture with the address of a small copy to show, or what is wrong with it in words. */
export async function readPicture(file: Blob): Promise<PictureRead> {
  const read = await askPicture(file, { want: 'colors', count: mostFound })
  if (typeof read === 'string') return { ok: false, wrong: read }
  if (read.found.length)
    return { ok: true, found: read.found, preview: URL.createObjectURL(read.preview) }
  return {
    ok: false,
    wrong: 'This picture is transparent all over, so it holds no colour. Take another.',
  }
}
