import { tokenizer, TokenType } from '@csstools/css-tokenizer'
import { deepestCss, staysInside, surveyCss } from './addresses'

/** What is wrong with a place in CSS. */
export type CssFaultKind =
  | 'unclosed'
  | 'stray'
  | 'torn-text'
  | 'torn-address'
  | 'import'
  | 'reaches-out'
  | 'no-colon'
  | 'too-deep'

/** Offsets count UTF-16 units. */
export interface CssFault {
  readonly start: number
  readonly end: number
  readonly what: CssFaultKind
}

const CLOSES: Partial<Record<TokenType, TokenType>> = {
  [TokenType.CloseCurly]: TokenType.OpenCurly,
  [TokenType.CloseParen]: TokenType.OpenParen,
  [TokenType.CloseSquare]: TokenType.OpenSquare,
}

interface Open {
  readonly type: TokenType
  readonly start: number
  readonly end: number
}

/** Brackets that do not match, and texts and addresses that do not end. */
function brackets(css: string): CssFault[] {
  const faults: CssFault[] = []
  const open: Open[] = []
  const stream = tokenizer({ css })
  for (let token = stream.nextToken(); token[0] !== TokenType.EOF; token = stream.nextToken()) {
    const [type, , start, last] = token
    const end = last + 1
    if (type === TokenType.BadString) faults.push({ start, end, what: 'torn-text' })
    if (type === TokenType.BadURL) faults.push({ start, end, what: 'torn-address' })
    if (type === TokenType.Function) open.push({ type: TokenType.OpenParen, start, end })
    else if (
      type === TokenType.OpenCurly ||
      type === TokenType.OpenParen ||
      type === TokenType.OpenSquare
    )
      open.push({ type, start, end })
    const closes = CLOSES[type]
    if (!closes) continue
    const at = open.findLastIndex((each) => each.type === closes)
    if (at < 0) faults.push({ start, end, what: 'stray' })
    // What stands open inside of what is closed here was never closed.
    else
      for (const { start: from, end: to } of open.splice(at).slice(1))
        faults.push({ start: from, end: to, what: 'unclosed' })
  }
  return [...faults, ...open.map(({ start, end }) => ({ start, end, what: 'unclosed' as const }))]
}

/** Declarations without a colon: a name with something behind it, up to a semicolon or the end of its block. */
function colons(css: string): CssFault[] {
  const faults: CssFault[] = []
  const stream = tokenizer({ css })
  let depth = 0
  let item: Array<{ readonly type: TokenType; readonly start: number; readonly end: number }> = []
  const rest = () => {
    const [first] = item
    const isBare =
      depth > 0 &&
      first?.type === TokenType.Ident &&
      item.every(({ type }) => type !== TokenType.Colon)
    if (isBare) faults.push({ start: first.start, end: item.at(-1)!.end, what: 'no-colon' })
    item = []
  }
  for (let token = stream.nextToken(); token[0] !== TokenType.EOF; token = stream.nextToken()) {
    const [type, , start, last] = token
    if (type === TokenType.OpenCurly) {
      item = []
      depth += 1
    } else if (type === TokenType.CloseCurly) {
      rest()
      depth = Math.max(0, depth - 1)
    } else if (type === TokenType.Semicolon) rest()
    else if (type !== TokenType.Whitespace && type !== TokenType.Comment)
      item.push({ type, start, end: last + 1 })
  }
  return faults
}

/**
 * What is wrong with custom CSS, where it is: brackets and texts that do not end, declarations without
 * a colon, and whatever would have pages fetch something from elsewhere. In the order of the text.
 */
export function cssFaults(css: string): CssFault[] {
  const { addresses, depth } = surveyCss(css)
  const outside = addresses.flatMap(({ start, end, address }): CssFault[] => {
    if (staysInside(address)) return []
    const isImport = address === undefined && css[start] === '@'
    return [{ start, end, what: isImport ? 'import' : 'reaches-out' }]
  })
  const deep: CssFault[] =
    depth > deepestCss ? [{ start: 0, end: css.length, what: 'too-deep' }] : []
  return [...brackets(css), ...colons(css), ...outside, ...deep].sort((a, b) => a.start - b.start)
}
