import { create } from 'fontkit'
import { convert } from 'fontverter'
import subsetFont from 'subset-font'
import { ownFontFiles, subsets, typefacesOf, type OwnPart } from '@/core/render'
import type { Font, Fonts, Frame } from '@/core/site'
import type { SiteFile } from '../publishing/site-file'
import { hashOf } from '../records'
import { fileStore } from '../storage'

/** The code points of a CSS `unicode-range`. */
function pointsIn(range: string): (point: number) => boolean {
  const spans = range.split(',').map((each) => {
    const [from, to = from] = each.trim().slice(2).split('-')
    return [parseInt(from!, 16), parseInt(to!, 16)] as const
  })
  return (point) => spans.some(([from, to]) => point >= from && point <= to)
}

const inSubset = Object.fromEntries(
  Object.entries(subsets).map(([name, range]) => [name, pointsIn(range)]),
)

/** Whether a character belongs to a part. */
function isIn(part: OwnPart, point: number): boolean {
  if (part === 'whole') return true
  if (part !== 'rest') return inSubset[part]!(point)
  return !Object.values(inSubset).some((isOfSubset) => isOfSubset(point))
}

/** A font with the characters of one part alone; a part that it has none of holds a space. */
async function partOf(data: Uint8Array, part: OwnPart): Promise<Uint8Array> {
  if (part === 'whole') return data
  const bytes = Buffer.from(data)
  const font = create(await convert(bytes, 'sfnt'))
  const points = 'characterSet' in font ? font.characterSet : []
  const text = points
    .filter((point) => isIn(part, point))
    .map((point) => String.fromCodePoint(point))
  return subsetFont(bytes, [' ', ...text].join(''), { targetFormat: 'woff2' })
}

/** The parts of one font, as they were published before or made now. */
async function filesOf(font: Font, before: ReadonlyMap<string, SiteFile>): Promise<SiteFile[]> {
  const files: SiteFile[] = []
  let data: Uint8Array | undefined
  for (const { part, name: own } of ownFontFiles(font)) {
    const name = `fonts/${own}`
    const source = `${font.file} ${part}`
    const known = before.get(name)
    if (known?.source === source) {
      files.push(known)
      continue
    }
    data ??= await fileStore().get(font.file)
    if (!data) break
    const made = await partOf(data, part)
    const hash = hashOf(made)
    await fileStore().put(hash, made)
    files.push({ name, hash, source })
  }
  return files
}

/**
 * The files of a site’s own fonts, those of its faces alone: in parts that a page fetches as its
 * words need them, each made once; whole where the rights of a font ask for it.
 */
export async function ownFontsOf(
  frame: Frame,
  fonts: Fonts,
  before: ReadonlyMap<string, SiteFile>,
): Promise<{ readonly files: readonly SiteFile[]; readonly written: number }> {
  const used = typefacesOf(frame)
  const files: SiteFile[] = []
  for (const font of Object.values(fonts)) {
    if (used.includes(font.family)) files.push(...(await filesOf(font, before)))
  }
  const written = files.filter(({ name, hash }) => before.get(name)?.hash !== hash).length
  return { files, written }
}
