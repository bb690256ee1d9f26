import { readList } from '../palette'
import { mostCandidates, type Candidate } from '../site'
import { isCssProperties, readCssProperties } from './css-properties'
import { isGpl, readGpl } from './gpl'
import type { ReadPalette, ReadProblem } from './read-result'
import { readTokens } from './tokens'

/** Longest text that is read, in UTF-16 units. */
export const longestText = 4_000_000

function readText(text: string): ReadPalette {
  const colors = readList(text)
  return { format: 'text', colors, problems: [], total: colors.length }
}

function read(text: string): ReadPalette {
  if (isGpl(text)) return readGpl(text)
  if (/^\ufeff?\s*[{[]/.test(text)) {
    const tokens = readTokens(text)
    if (tokens.colors.length || tokens.problems.some(({ code }) => code !== 'bad-json'))
      return tokens
    // JSON of another kind, or a piece of it, may still hold colours.
    const plain = readText(text)
    return plain.colors.length ? plain : tokens
  }
  if (isCssProperties(text)) {
    const css = readCssProperties(text)
    if (css.colors.length) return css
  }
  return readText(text)
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
