import { create, type Font as Parsed, type FontCollection } from 'fontkit'
import { convert } from 'fontverter'
import { done, refused, type FontFault, type Result } from '@/core/payloads'
import type { Font } from '@/core/site'
import { mostPoints, pointsOfLargest } from './glyph-points'

/** Most bytes that a font may unpack to: a bomb has more. */
const MOST_UNPACKED = 30_000_000

/** A font as it is kept: its bytes as WOFF2, and what it says of itself. */
export interface ReadiedFont extends Pick<
  Font,
  'family' | 'style' | 'weights' | 'license' | 'whole'
> {
  readonly data: Uint8Array
}

const fault = (why: FontFault) => refused({ code: 'font', why })

/** What a file begins with (OpenType 1.9, “Organization of an OpenType Font”; WOFF File Format 2.0, §3). */
const SIGNATURES = ['wOF2', 'wOFF', 'OTTO', 'true', '\0\x01\0\0']

/** Bytes that a compressed font says it unpacks to, at the same place in WOFF and WOFF 2.0. */
const unpacked = (bytes: Buffer) => (bytes.length >= 20 ? bytes.readUInt32BE(16) : 0)

/**
 * What the maker allows, as `OS/2.fsType` has it (OpenType 1.9, OS/2, fsType): of the four usage
 * permissions in bits 0–3 the least restrictive counts; none of them is “installable”. Bit 8 forbids
 * subsetting, bit 9 lets only bitmaps be embedded.
 */
export type Rights = 'installable' | 'editable' | 'print-only' | 'forbidden'

export function rightsOf(fsType: number): Rights {
  if (fsType & 0x200) return 'forbidden'
  if (fsType & 0x8) return 'editable'
  if (fsType & 0x4) return 'print-only'
  return fsType & 0x2 ? 'forbidden' : 'installable'
}

/** The parts of the OS/2 table that matter here; fontkit's types leave its members open. */
interface Os2 {
  readonly usWeightClass?: number
  readonly fsType?:
    | number
    | Readonly<
        Record<'noEmbedding' | 'viewOnly' | 'editable' | 'noSubsetting' | 'bitmapOnly', boolean>
      >
}

/** `fsType` as a number, whichever way the parser tells it. */
function fsTypeOf({ fsType = 0 }: Os2): number {
  if (typeof fsType === 'number') return fsType
  const { noEmbedding, viewOnly, editable, noSubsetting, bitmapOnly } = fsType
  return (
    (noEmbedding ? 2 : 0) +
    (viewOnly ? 4 : 0) +
    (editable ? 8 : 0) +
    (noSubsetting ? 0x100 : 0) +
    (bitmapOnly ? 0x200 : 0)
  )
}

const within = (value: number) => Math.min(1000, Math.max(1, Math.round(value)))

function weightsOf(font: Parsed, os2: Os2): [number, number] {
  const { wght } = font.variationAxes as { wght?: { min: number; max: number } }
  if (wght) return [within(wght.min), within(wght.max)]
  const own = within(os2.usWeightClass ?? 400)
  return [own, own]
}

type Names = Readonly<Record<string, Readonly<Record<string, string>> | undefined>>

/** A name of the font in English, or else in whichever language there is. */
function nameOf(font: Parsed, key: string): string | undefined {
  const { records } = (font as unknown as { name: { records: Names } }).name
  const all = records[key]
  return all && (all.en ?? Object.values(all)[0])
}

const plain = (text: string | undefined, most: number) =>
  (text ?? '')
    .replaceAll(/[\p{Cc}\p{Cf}\s]+/gu, ' ')
    .trim()
    .slice(0, most)

const LETTERS = [...'abcdefghijklmnopqrstuvwxyz']

/** Whether what is drawn of the letters can be read to its end. */
function hasLetters(font: Parsed): boolean {
  return LETTERS.every((letter) => {
    const code = letter.codePointAt(0)!
    if (!font.hasGlyphForCodePoint(code)) return false
    const { path, advanceWidth } = font.glyphForCodePoint(code)
    return path.commands.length > 0 && advanceWidth > 0
  })
}

const isCollection = (font: Parsed | FontCollection): font is FontCollection => 'fonts' in font

function described(font: Parsed): Result<Omit<ReadiedFont, 'data'>> {
  if (!hasLetters(font)) return fault('no-letters')
  const os2 = font['OS/2'] as unknown as Os2
  const fsType = fsTypeOf(os2)
  const rights = rightsOf(fsType)
  if (rights === 'forbidden' || rights === 'print-only') return fault(rights)
  const family = plain(nameOf(font, 'preferredFamily') ?? font.familyName, 80)
  const license = plain(nameOf(font, 'license') ?? nameOf(font, 'copyright') ?? font.copyright, 400)
  return done({
    family: family || 'Unnamed',
    style:
      font.italicAngle !== 0 || /italic|oblique/i.test(font.subfamilyName) ? 'italic' : 'normal',
    weights: weightsOf(font, os2),
    license: license || 'Its maker says nothing of who may use it.',
    ...(fsType & 0x100 ? { whole: true } : {}),
  })
}

/** Reads a font file, checks what it is and what its rights allow, and makes it WOFF2. */
export async function readyFont(given: Uint8Array): Promise<Result<ReadiedFont>> {
  const bytes = Buffer.from(given)
  const signature = bytes.subarray(0, 4).toString('latin1')
  if (signature === 'ttcf') return fault('collection')
  if (!SIGNATURES.includes(signature)) return fault('not-a-font')
  if (signature.startsWith('wOF') && unpacked(bytes) > MOST_UNPACKED)
    return fault('too-large-inside')
  try {
    const sfnt = await convert(bytes, 'sfnt')
    if (sfnt.length > MOST_UNPACKED) return fault('too-large-inside')
    if (pointsOfLargest(sfnt) > mostPoints) return fault('too-complex')
    const font = create(sfnt)
    if (isCollection(font)) return fault('collection')
    const about = described(font)
    if (!about.ok) return about
    return done({ ...about.value, data: await convert(sfnt, 'woff2') })
  } catch {
    // Whatever the parser stumbles over, the file is not whole.
    return fault('broken')
  }
}
