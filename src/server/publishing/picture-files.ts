import sharp from 'sharp'
import { narrowerName, widthsOf, type Picture, type Pictures } from '@/core/site'
import type { WorkWatch } from '../edits'
import { hashOf } from '../records'
import { fileStore } from '../storage'
import type { SiteFile } from './site-file'

/** How well pixels are kept in narrower widths; those of PNG are kept whole. */
const QUALITY = 80

const FORMATS = {
  'image/jpeg': 'jpeg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/avif': 'avif',
} as const

/** The bytes of a picture in a narrower width; its own where they are fewer, or where it cannot be read. */
async function narrowed(
  { mediaType }: Picture,
  data: Uint8Array,
  width: number,
): Promise<Uint8Array> {
  if (mediaType === 'image/svg+xml') return data
  const format = FORMATS[mediaType]
  try {
    const made = await sharp(data)
      .resize({ width })
      .toFormat(format, format === 'png' ? {} : { quality: QUALITY })
      .toBuffer()
    return made.length < data.length ? made : data
  } catch {
    // It was taken as it is; a browser shows of it what it can in every width.
    return data
  }
}

/**
 * The files of all pictures, in every width that pages name. Each picture lies in the file store
 * already, under the hash that its record has; the narrower ones are made once. Undefined where
 * the work was cancelled.
 */
export async function pictureFiles(
  pictures: Pictures,
  before: ReadonlyMap<string, SiteFile>,
  watch: WorkWatch,
): Promise<{ readonly files: readonly SiteFile[]; readonly written: number } | undefined> {
  const files: SiteFile[] = []
  let written = 0
  for (const picture of Object.values(pictures)) {
    files.push({ name: `assets/${picture.fileName}`, hash: picture.file, source: null })
    let data: Uint8Array | undefined
    for (const width of widthsOf(picture)) {
      if (watch.isCancelled()) return undefined
      const name = `assets/${narrowerName(picture.fileName, width)}`
      const source = `${picture.file} ${width}`
      const known = before.get(name)
      if (known?.source === source) {
        files.push(known)
        continue
      }
      data ??= await fileStore().get(picture.file)
      if (!data) break
      const made = await narrowed(picture, data, width)
      const hash = hashOf(made)
      await fileStore().put(hash, made)
      written += 1
      files.push({ name, hash, source })
    }
  }
  // A picture that is called as another one in a narrower width stays what it is.
  const byName = new Map(files.reverse().map((file) => [file.name, file]))
  for (const { fileName, file } of Object.values(pictures)) {
    byName.set(`assets/${fileName}`, { name: `assets/${fileName}`, hash: file, source: null })
  }
  return { files: [...byName.values()], written }
}
