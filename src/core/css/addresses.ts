import { tokenizer, TokenType } from '@csstools/css-tokenizer'

/** A place in CSS from which a browser would load something. Offsets count UTF-16 units. */
export interface CssAddress {
  readonly start: number
  readonly end: number
  /** What would be loaded; absent where that is not told before the page runs, and for `@import`. */
  readonly address?: string
}

/** Functions whose texts are addresses (CSS Images 4, CSS Values 5). */
const LOADS = /^(?:url|src|image|-webkit-image-set|image-set|cross-fade|-webkit-cross-fade)$/
/** Functions inside those whose texts are none. */
const TELLS = /^(?:type|format|tech|attr|var|env|if)$/
/** What is put in only when the page is styled: then nobody knows the address before. */
const SUBSTITUTES = /^(?:attr|var|env|if)$/

/** The most blocks and brackets inside one another that custom CSS may have; nothing by hand comes near it. */
export const deepestCss = 100

export interface CssSurvey {
  readonly addresses: readonly CssAddress[]
  /** How deep blocks and brackets stand inside one another. */
  readonly depth: number
}

/** What neither begins nor ends anything. */
const SPACE: ReadonlySet<TokenType> = new Set([TokenType.Whitespace, TokenType.Comment])
/** Behind these a rule or declaration begins (CSS Syntax 3, §5.4); `}` is told by what it closes. */
const BEGINS: ReadonlySet<TokenType> = new Set([
  TokenType.Semicolon,
  TokenType.OpenCurly,
  TokenType.CDO,
  TokenType.CDC,
])

interface Open {
  readonly type: TokenType
  readonly name: string
  readonly start: number
  /** Whether a text in it is an address. */
  readonly loads: boolean
}

const OPENED_BY = {
  [TokenType.CloseParen]: TokenType.OpenParen,
  [TokenType.CloseSquare]: TokenType.OpenSquare,
  [TokenType.CloseCurly]: TokenType.OpenCurly,
} as const

const isFunctionClosed = (last: Open | undefined, type: TokenType) =>
  last?.type === TokenType.Function && type === TokenType.CloseParen

/** Whether rules or declarations stand here, rather than parts of a value in brackets. */
const isAmongRules = (open: readonly Open[]) =>
  open.length === 0 || open.at(-1)!.type === TokenType.OpenCurly

/** Goes through CSS once, and finds all that would be loaded, and how deep it is nested. */
export function surveyCss(css: string): CssSurvey {
  const stream = tokenizer({ css })
  const addresses: CssAddress[] = []
  const open: Open[] = []
  let depth = 0
  /** The at-rule whose prelude is read: `@import` loads, `@namespace` only names. */
  let prelude: { readonly name: string; readonly start: number } | undefined
  /** Whether a rule or declaration would begin here: inside a value an at-keyword begins none. */
  let isBeginning = true
  for (;;) {
    const token = stream.nextToken()
    const [type, , start, last] = token
    const end = last + 1
    const begins = isBeginning
    if (!SPACE.has(type)) isBeginning = BEGINS.has(type) && isAmongRules(open)
    switch (type) {
      case TokenType.EOF:
        if (prelude?.name === 'import') addresses.push({ start: prelude.start, end: css.length })
        return { addresses, depth }
      case TokenType.AtKeyword:
        if (begins) prelude = { name: token[4].value.toLowerCase(), start }
        break
      case TokenType.Semicolon:
        if (prelude?.name === 'import') addresses.push({ start: prelude.start, end })
        prelude = undefined
        break
      case TokenType.URL:
      case TokenType.String:
        if (prelude?.name === 'import') break
        if (prelude?.name === 'namespace' && open.length === 0) break
        if (type === TokenType.URL || open.at(-1)?.loads)
          addresses.push({ start, end, address: token[4].value })
        break
      case TokenType.Function:
      case TokenType.OpenParen:
      case TokenType.OpenSquare:
      case TokenType.OpenCurly: {
        if (type === TokenType.OpenCurly) prelude = undefined
        const name = type === TokenType.Function ? token[4].value.toLowerCase() : ''
        const within = open.at(-1)?.loads ?? false
        // Where an address is put in later, nobody can say what it is.
        if (within && SUBSTITUTES.test(name)) addresses.push({ start, end })
        const loads = LOADS.test(name) || (within && !TELLS.test(name))
        open.push({ type, name, start, loads: type === TokenType.OpenCurly ? false : loads })
        depth = Math.max(depth, open.length)
        break
      }
      case TokenType.CloseParen:
      case TokenType.CloseSquare:
      case TokenType.CloseCurly: {
        if (type === TokenType.CloseCurly) prelude = undefined
        // One that closes nothing is a token like any other.
        if (open.at(-1)?.type === OPENED_BY[type] || isFunctionClosed(open.at(-1), type)) open.pop()
        if (type === TokenType.CloseCurly) isBeginning = isAmongRules(open)
        break
      }
    }
  }
}

/** Pictures that stand in the stylesheet itself. */
const DATA_PICTURE = /^data:image\/(?:png|jpeg|gif|webp|avif|svg\+xml)[;,]/i

/**
 * Whether an address stays within the site: nothing, a place on the page, a
 * picture in the stylesheet itself, or a file of the site below `assets/`.
 */
export function staysInside(address: string | undefined): boolean {
  if (address === undefined) return false
  const plain = address.trim()
  return (
    plain === '' || plain.startsWith('#') || DATA_PICTURE.test(plain) || fileOf(plain) !== undefined
  )
}

/** The name of a file of the site that an address leads to. */
export function fileOf(address: string): string | undefined {
  return /^(?:\.\/)?assets\/([\w][\w.-]*)$/.exec(address.trim())?.[1]
}

/**
 * CSS in which nothing is loaded from outside of the site: `@import` is left
 * out, other addresses lead nowhere. `place` says where a file of the site lies.
 */
export function withinSite(css: string, place: (file: string) => string | undefined): string {
  const parts: string[] = []
  let at = 0
  for (const { start, end, address } of surveyCss(css).addresses) {
    if (start < at) continue
    const file = address === undefined ? undefined : fileOf(address)
    const own = file === undefined ? undefined : place(file)
    if (staysInside(address) && own === undefined) continue
    parts.push(css.slice(at, start), replacement(css, start, address, own))
    at = end
  }
  parts.push(css.slice(at))
  return parts.join('')
}

function replacement(
  css: string,
  start: number,
  address: string | undefined,
  own?: string,
): string {
  if (address === undefined) return css[start] === '@' ? '' : 'x('
  const text = `"${own ?? ''}"`
  // A text inside a function, or a whole `url(…)`.
  return css[start] === '"' || css[start] === "'" ? text : `url(${text})`
}
