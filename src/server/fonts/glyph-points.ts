/**
 * Most points of one glyph: FreeType, which draws fonts in browsers, counts them in 16 bits
 * with a sign (FT_OUTLINE_POINTS_MAX).
 */
export const mostPoints = 32_767
/** How deep glyphs may be made of glyphs (OpenType 1.9, maxp: maxComponentDepth has 16 as its highest legal value). */
const DEEPEST = 16

/** What follows the glyph index of a component, by its flags (OpenType 1.9, glyf, “Composite Glyph Description”). */
const FLAGS = { words: 0x1, scale: 0x8, more: 0x20, scales: 0x40, matrix: 0x80 } as const

type Tables = ReadonlyMap<string, Buffer>

function tablesOf(sfnt: Buffer): Tables {
  const count = sfnt.readUInt16BE(4)
  const tables = new Map<string, Buffer>()
  for (let at = 12; at < 12 + count * 16; at += 16) {
    const [offset, length] = [sfnt.readUInt32BE(at + 8), sfnt.readUInt32BE(at + 12)]
    tables.set(sfnt.toString('latin1', at, at + 4), sfnt.subarray(offset, offset + length))
  }
  return tables
}

/** The glyphs that a composite one is made of. */
function componentsOf(glyph: Buffer): number[] {
  const found: number[] = []
  for (let at = 10; ;) {
    const flags = glyph.readUInt16BE(at)
    found.push(glyph.readUInt16BE(at + 2))
    at += 4 + (flags & FLAGS.words ? 4 : 2)
    at += flags & FLAGS.matrix ? 8 : flags & FLAGS.scales ? 4 : flags & FLAGS.scale ? 2 : 0
    if (!(flags & FLAGS.more)) return found
  }
}

/**
 * The points of the glyph that has most of them, with all that it is made of; `Infinity` where
 * glyphs are made of one another in circles or too deep. 0 for fonts whose outlines are no
 * TrueType ones. Throws where the tables cannot be read.
 */
export function pointsOfLargest(sfnt: Buffer): number {
  const tables = tablesOf(sfnt)
  const [glyf, loca, head] = ['glyf', 'loca', 'head'].map((name) => tables.get(name))
  if (!glyf || !loca || !head) return 0
  const isLong = head.readInt16BE(50) === 1
  const offset = (i: number) => (isLong ? loca.readUInt32BE(i * 4) : loca.readUInt16BE(i * 2) * 2)
  const count = loca.length / (isLong ? 4 : 2) - 1
  const known = new Map<number, number>()

  function points(glyph: number, depth: number): number {
    const before = known.get(glyph)
    if (before !== undefined) return before
    if (depth > DEEPEST) return Infinity
    if (glyph >= count) return 0
    const data = glyf!.subarray(offset(glyph), offset(glyph + 1))
    if (data.length < 12) return 0
    const contours = data.readInt16BE(0)
    const sum =
      contours >= 0
        ? contours && data.readUInt16BE(10 + (contours - 1) * 2) + 1
        : componentsOf(data).reduce((all, each) => all + points(each, depth + 1), 0)
    known.set(glyph, sum)
    return sum
  }

  let most = 0
  for (let glyph = 0; glyph < count; glyph += 1) most = Math.max(most, points(glyph, 0))
  return most
}
