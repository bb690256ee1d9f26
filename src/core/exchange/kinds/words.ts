import * as z from 'zod'
import { plainText } from '../../site'
import { escaped } from '../../css'
import { defineExchange, inJson, type Found } from '../kind'
import { textOf, type Spot } from '../spot'

const longest = 2000

const schema = z.strictObject({
  of: z.literal('words'),
  from: plainText(longest),
  to: plainText(longest),
  /** Only in just these letters, large and small; in any otherwise. */
  sameCase: z.literal(true).optional(),
  /** Only where no letter, figure or mark stands right beside it. */
  wholeWords: z.literal(true).optional(),
  /** What comes in its place begins with a capital, or is in capitals, where what stood there did. */
  keepCase: z.literal(true).optional(),
})
type Request = z.infer<typeof schema>

/** Letters, figures and what belongs to them (Unicode general categories L, N and M). */
const WORD = String.raw`[\p{L}\p{N}\p{M}_]`

const START = new RegExp(`^${WORD}`, 'u')
const END = new RegExp(`${WORD}$`, 'u')

/** Composed or taken apart (Unicode NFC, NFD), it is the same text to whoever reads it; and a blank is as good as any. */
function patternOf(text: string): string {
  const written = (form: 'NFC' | 'NFD') =>
    text
      .normalize(form)
      .split(/\s+/u)
      .map(escaped)
      .join(String.raw`\s+`)
  const [composed, apart] = [written('NFC'), written('NFD')]
  return composed === apart ? composed : `(?:${composed}|${apart})`
}

function expression({ from, sameCase, wholeWords }: Request): RegExp {
  const pattern = patternOf(from)
  // Where it ends in a blank or a sign, a word may well begin right behind it.
  const [first, last] = [START.test(from), END.test(from)]
  const whole = `${wholeWords && first ? `(?<!${WORD})` : ''}${pattern}${wholeWords && last ? `(?!${WORD})` : ''}`
  return new RegExp(whole, sameCase ? 'gu' : 'giu')
}

const upper = (text: string) => text.toLocaleUpperCase('en')
const isUpper = (text: string) => upper(text) === text && text.toLocaleLowerCase('en') !== text

/** A text in capitals, or with one at its beginning, as another one is; of one letter nobody can say more than that. */
export function inCaseOf(found: string, to: string): string {
  if ([...found].length > 1 && isUpper(found)) return upper(to)
  const [first = ''] = found
  const [head = '', ...rest] = to
  return isUpper(first) ? upper(head) + rest.join('') : to
}

/** What may stand between two letters of running text that is written in several stretches, as JSON. */
const SEAM = String.raw`("[^{}]*\},\{[^{}]*"text":")?`

/** Letters of a pattern: enough to tell most records apart, few enough for any database. */
const LONGEST_CHUNK = 32

/**
 * The longest row of plain letters and figures in what is looked for, or of plain signs where there
 * are none; all else may be written in several ways.
 */
function chunkOf(from: string): string {
  const longest = (rows: readonly string[] | null) =>
    ([...(rows ?? [])].sort((a, b) => b.length - a.length)[0] ?? '').slice(0, LONGEST_CHUNK)
  return longest(from.match(/[a-z0-9]+/gi)) || longest(from.match(/[!#-;=?@[-`{-~]+/g))
}

/** Words that people read, never markup, addresses or code. */
export const words = defineExchange<Request>({
  of: 'words',
  sorts: ['words'],
  faultOf: ({ from, to }) => {
    if (from === '') return 'nothing-sought'
    return from === to ? 'same-thing' : undefined
  },
  finder(request) {
    const search = expression(request)
    return (spot: Spot): Found[] =>
      [...textOf(spot).matchAll(search)].flatMap(({ 0: found, index }) => {
        const after =
          request.keepCase && !request.sameCase ? inCaseOf(found, request.to) : request.to
        return after === found ? [] : [{ start: index, end: index + found.length, after }]
      })
  },
  pattern({ from }) {
    const chunk = chunkOf(from)
    return chunk === '' ? undefined : [...chunk].map(inJson).join(SEAM)
  },
})

export const wordsRequest = schema
