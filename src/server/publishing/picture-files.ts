import sharp from 'sharp'
import { slotColorsOf, withSlotColors } from '@/core/render'
import { narrowerName, widthsOf, type Palette, type Picture, type Pictures } from '@/core/site'
import type { WorkWatch } from '../edits'
import { hashOf } from '../records'
import { fileStore, vectorText } from '../storage'
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

/** A picture as it is; a vector picture that follows slots with what they come to, which is another file whenever they do. */
async function ownFile(
  picture: Picture,
  palette: Palette,
  before: ReadonlyMap<string, SiteFile>,
): Promise<{ readonly file: SiteFile; readonly written: number }> {
  const name = `assets/${picture.fileName}`
  const colors = slotColorsOf(picture, palette)
  const text = colors.length ? await vectorText(picture.file) : undefined
  if (text === undefined) return { file: { name, hash: picture.file, source: null }, written: 0 }
  const shown = withSlotColors(text, colors)
  const hash = hashOf(shown)
  const written = before.get(name)?.hash === hash ? 0 : 1
  if (written) await fileStore().put(hash, shown)
  return { file: { name, hash, source: null }, written }
}

/**
 * The files of all pictures, in every width that pages name. Each picture lies in the file store
 * already, under the hash that its record has; the narrower ones are made once. Undefined where
 * the work was cancelled.
 */
export async function pictureFiles(
  pictures: Pictures,
  palette: Palette,
  before: ReadonlyMap<string, SiteFile>,
  watch: WorkWatch,
): Promise<{ readonly files: readonly SiteFile[]; readonly written: number } | undefined> {
  const owns: SiteFile[] = []
  const files: SiteFile[] = []
  let written = 0
  for (const picture of Object.values(pictures)) {
    const own = await ownFile(picture, palette, before)
    written += own.written
    owns.push(own.file)
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
  const byName = new Map([...files].reverse().map((file) => [file.name, file]))
  for (const own of owns) byName.set(own.name, own)
  return { files: [...byName.values()], written }
}
