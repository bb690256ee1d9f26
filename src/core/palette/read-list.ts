import { colorKey, colorOf, writeHex } from '../color'
import { mostCandidates, type Candidate } from '../site'

const FUNCTION = /\b(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]{3,80}\)/.source
const HEX = /#[\da-fA-F]{3,8}(?![\da-zA-Z_-])/.source
/** Six or eight digits without `#`, at least one of them a digit, so that words are not taken. */
const BARE = /(?<![\w#-])(?=[a-fA-F]*\d)(?:[\da-fA-F]{8}|[\da-fA-F]{6})(?![\w-])/.source
const ANY = new RegExp(`${FUNCTION}|${HEX}|${BARE}`, 'g')

/** What is left of a line when the colour is taken out: the name, if it is one. */
function nameIn(line: string, found: string): string | undefined {
  const property = /(?:--|\$|@)?([A-Za-z][\w-]*)\s*[:=]/.exec(line)?.[1]
  const words = (property ?? line.replace(found, ''))
    .replace(/["'`,;:={}()[\]<>#|*•–—/]+/g, ' ')
    .replace(/^(?:color|slot)-/i, '')
    .replace(/[-_]+/g, ' ')
    .trim()
  if (!/[A-Za-zÀ-ž]/.test(words) || words.length > 40) return undefined
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/**
 * Every colour in a free text: a list with or without names, CSS, a piece of
 * JSON. Each colour is taken once, in the order met. A line that is nothing but
 * a colour name of CSS counts too; words inside sentences never do.
 */
export function readList(text: string): Candidate[] {
  const found = new Map<string, Candidate>()
  for (const line of text.split(/\r\n|[\r\n]/)) {
    const matches = line.match(ANY) ?? (colorOf(line) ? [line.trim()] : [])
    for (const match of matches) {
      const color = colorOf(match)
      if (!color || found.has(colorKey(color)) || found.size >= mostCandidates) continue
      const name = matches.length === 1 && match !== line.trim() ? nameIn(line, match) : undefined
      found.set(colorKey(color), { value: writeHex(color), ...(name ? { name } : {}) })
    }
  }
  return [...found.values()]
}
