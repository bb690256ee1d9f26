import { isExportedList, readList } from '../palette'
import { mostCandidates, typedName, type Candidate } from '../site'
import { readCssProperties } from './css-properties'
import { textsOfJson } from './dialects'
import { isGpl, readGpl } from './gpl'
import { readJson } from './read-json'
import type { ReadPalette, ReadProblem } from './read-result'
import { readTokens } from './tokens'

/** Longest text that is read, in UTF-16 units. */
export const longestText = 4_000_000

function readText(text: string): ReadPalette {
  const colors = readList(text)
  return { format: 'text', colors, problems: [], total: colors.length }
}

function read(text: string): ReadPalette {
  if (isExportedList(text)) return readText(text)
  if (isGpl(text)) return readGpl(text)
  const json = /^\ufeff?(?:\s|\/\/[^\n]*\n|\/\*[^]*?\*\/)*[{[]/.test(text)
    ? readJsonPalette(text)
    : undefined
  if (json?.colors.length) return json
  const css = text.includes('--') ? readCssProperties(text) : undefined
  if (css?.colors.length) return css
  const plain = readText(text)
  return plain.colors.length || !json ? plain : json
}

/** Design tokens of any dialect, or JSON of another kind that holds colours. */
function readJsonPalette(text: string): ReadPalette {
  const tokens = readTokens(text)
  const isRead = tokens.problems.some(({ code }) => code !== 'bad-json' && code !== 'too-deep')
  if (tokens.colors.length || isRead) return tokens
  const read = readJson(text)
  if (!read.ok) return tokens
  const found = textsOfJson(read.json).flatMap(({ text: value, name }) =>
    readList(value).map((candidate): Candidate => {
      const known = typedName.safeParse(name?.slice(0, 60))
      return known.success ? { ...candidate, name: known.data } : { value: candidate.value }
    }),
  )
  const distinct = new Map(found.map((each) => [`${each.value} ${each.name ?? ''}`, each]))
  const colors = [...distinct.values()]
  return {
    format: 'text',
    colors: colors.slice(0, mostCandidates),
    problems: [],
    total: colors.length,
  }
}

/** One name to one colour: later ones of the same name get a number. */
function withOwnNames(colors: readonly Candidate[]): Candidate[] {
  const taken = new Set<string>()
  return colors.map((color) => {
    if (!color.name) return color
    let name = color.name
    for (let n = 2; taken.has(name.toLowerCase()); n += 1) {
      name = `${color.name.slice(0, 55)} ${n}`
    }
    taken.add(name.toLowerCase())
    return { ...color, name }
  })
}

/**
 * Reads whatever holds colours: design tokens, a GIMP palette, CSS custom
 * properties, or any text. Gives what could be read, at most 256 colours, and
 * tells what could not; never throws.
 */
export function readPalette(text: string): ReadPalette {
  const result = read(text.slice(0, longestText))
  const problems: ReadProblem[] = [...result.problems]
  if (result.total > mostCandidates)
    problems.push({ code: 'too-many', where: String(result.total) })
  if (result.colors.length === 0 && problems.length === 0) problems.push({ code: 'no-color' })
  return { ...result, colors: withOwnNames(result.colors), problems }
}
