import { colorKey, colorOf, writeHex, type Color } from '../color'
import { mostCandidates, type Candidate } from '../site'

const FUNCTION = /\b(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]{3,80}\)/.source
const HEX = /#[\da-fA-F]{3,8}(?![\da-zA-Z_-])/.source
/** Six or eight digits without `#`, at least one of them a digit, so that words are not taken. */
const BARE = /(?<![\w#-])(?=[a-fA-F]*\d)(?:[\da-fA-F]{8}|[\da-fA-F]{6})(?![\w-])/.source
/** The same with a letter in it: no number. */
const LETTERED = /(?<![\w#-])(?=\d*[a-fA-F])(?=[a-fA-F]*\d)(?:[\da-fA-F]{8}|[\da-fA-F]{6})(?![\w-])/
  .source
/** Lines that are longer hold no name: they are no hand's list. */
const LONGEST_LINE = 400
const mostName = 60

/** A line as the plain-text export writes it: what stands before the codes is the name, whatever it is. */
const EXPORTED = /^(.*?) {2,}(#[\da-f]{6,8}) +rgb\([^()]*\)$/
const exportedLine = (line: string) =>
  line.length <= LONGEST_LINE ? EXPORTED.exec(line) : undefined

/** Whether a text is a plain-text export, by its first line. */
export function isExportedList(text: string): boolean {
  return !!exportedLine(text.slice(0, LONGEST_LINE + 1).split(/[\r\n]/, 1)[0]!)
}

const ANY = new RegExp(`${FUNCTION}|${HEX}|${BARE}`, 'g')

const nothing: Color = { r: 0, g: 0, b: 0, alpha: 0 }

/** What is left of a line when its colours are taken out: the name, if it is one. */
function nameIn(line: string, found: readonly string[]): string | undefined {
  const property = /(?:--|\$|@)?([A-Za-z][\w-]*)\s*[:=]/.exec(line)?.[1]
  const rest = found.reduce((left, each) => left.replace(each, ''), line)
  const words = (property ?? rest)
    .replace(/["'`,;:={}()[\]<>#|*•–—/]+/g, ' ')
    .replace(/^(?:color|slot)-/i, '')
    .replace(/[-_]+/g, ' ')
    .trim()
  if (!/[A-Za-zÀ-ž]/.test(words) || words.length > mostName) return undefined
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** Words before numbers that are no codes of colours. */
const COUNTED = /\b(?:tel|telephone|phone|mobile|fax|order|invoice|vat|zip|postcode|no|nr|id)\b/i

/**
 * `tel 123456`: six digits beside words are a number. They are a code where nothing else is in
 * their line, or where the text writes other codes without `#` as well, as lists do.
 */
const isNumber = (match: string, line: string, writesBare: boolean): boolean =>
  /^\d+$/.test(match) && /\p{L}/u.test(line) && (!writesBare || COUNTED.test(line))

/**
 * Every colour in a free text: a list with or without names, CSS, a piece of
 * JSON. Each colour is taken once, in the order met; in the lines
 * of a plain-text export once by each name. A line that is nothing but a colour
 * name of CSS counts too; words inside sentences never do.
 */
export function readList(text: string): Candidate[] {
  const found: Candidate[] = []
  const seen = new Set<string>()
  const take = (text: string, name: string | undefined, isOwn = false) => {
    const color = colorOf(text)
    if (!color || found.length >= mostCandidates) return
    const key = colorKey(color)
    const own = isOwn ? `${key} ${name}` : key
    if (seen.has(own) || (!isOwn && seen.has(key))) return
    seen.add(key).add(own)
    found.push({ value: writeHex(color), ...(name ? { name } : {}) })
  }
  const writesBare = new RegExp(LETTERED).test(text)
  for (const line of text.split(/\r\n|[\r\n]/)) {
    const exported = exportedLine(line)
    if (exported) {
      take(exported[2]!, exported[1]!.trim().slice(0, mostName), true)
      continue
    }
    const matches = (line.match(ANY) ?? (colorOf(line) ? [line.trim()] : [])).filter(
      (match) => !isNumber(match, line, writesBare),
    )
    const keys = new Set(matches.map((match) => colorKey(colorOf(match) ?? nothing)))
    // A colour that a line gives in several notations is one.
    const isNamed = keys.size === 1 && line.length <= LONGEST_LINE && matches[0] !== line.trim()
    const name = isNamed ? nameIn(line, matches) : undefined
    for (const match of matches) take(match, name)
  }
  return found
}
