import { fromBytes, toBytes, writeHex, type Color } from '../color'
import { mostCandidates, typedName, type Candidate } from '../site'
import type { ReadPalette, ReadProblem } from './read-result'

const ENTRY = /^\s*(\d+)[\s,]+(\d+)[\s,]+(\d+)(?:\s+(.*?))?\s*$/

export function isGpl(text: string): boolean {
  return /^\ufeff?\s*GIMP Palette/i.test(text)
}

/**
 * Reads a GIMP palette: a line `GIMP Palette`, headers, then three numbers
 * 0…255 and perhaps a name to a line. Blank lines and `#` lines are passed
 * over; every other line that is no entry is a problem.
 */
export function readGpl(text: string): ReadPalette {
  const colors: Candidate[] = []
  const problems: ReadProblem[] = []
  let total = 0
  text.split(/\r\n|[\r\n]/).forEach((line, i) => {
    if (i === 0 || /^\s*(?:#|$)/.test(line)) return
    if (/^\s*(?:name|columns|channels)\s*:/i.test(line)) return
    const [, r, g, b, label] = ENTRY.exec(line) ?? []
    const bytes = [Number(r), Number(g), Number(b)] as const
    if (r === undefined || bytes.some((byte) => byte > 255)) {
      problems.push({ code: 'broken-line', where: String(i + 1) })
      return
    }
    total += 1
    if (colors.length >= mostCandidates) return
    const name = typedName.safeParse((label ?? '').slice(0, 60))
    const known = name.success && !/^untitled$/i.test(name.data)
    colors.push({ value: writeHex(fromBytes(bytes)), ...(known ? { name: name.data } : {}) })
  })
  return { format: 'gpl', colors, problems, total }
}

export interface NamedColor {
  readonly name: string
  readonly color: Color
}

/** Writes a GIMP palette; alpha is left out, since the format has none. */
export function writeGpl(title: string, colors: readonly NamedColor[]): string {
  const line = (text: string) => text.replace(/\s+/g, ' ').trim()
  const entries = colors.map(({ name, color }) => {
    const numbers = toBytes(color).map((byte) => String(byte).padStart(3))
    return `${numbers.join(' ')}\t${line(name)}`
  })
  return ['GIMP Palette', `Name: ${line(title)}`, 'Columns: 8', '#', ...entries, ''].join('\n')
}
