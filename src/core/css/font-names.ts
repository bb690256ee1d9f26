import { TokenType, type CSSToken } from '@csstools/css-tokenizer'
import { readDeclarations } from './declarations'
import type { FoundDeclaration } from './tokens'

/** A typeface that CSS names. Offsets count UTF-16 units. */
export interface FontName {
  readonly start: number
  readonly end: number
  /** As it is written, without quotation marks. */
  readonly name: string
  readonly isQuoted: boolean
}

/** Names that stand for whatever there is (CSS Fonts 4 § 2.1.4), and words for the whole of a value. */
const GENERIC =
  /^(?:serif|sans-serif|cursive|fantasy|monospace|system-ui|math|emoji|fangsong|ui-(?:serif|sans-serif|monospace|rounded)|inherit|initial|unset|revert|revert-layer)$/i
/** Sizes by name (CSS Fonts 4 § 2.5): in `font`, families come after the size. */
const SIZE = /^(?:xx-small|x-small|small|medium|large|x-large|xx-large|xxx-large|larger|smaller)$/i

const NUMERIC = new Set([TokenType.Dimension, TokenType.Percentage, TokenType.Number])
const isBlank = ([type]: CSSToken) => type === TokenType.Whitespace || type === TokenType.Comment

/** The tokens of `font` after its size and line height. */
function familiesOf(tokens: readonly CSSToken[]): readonly CSSToken[] {
  const size = tokens.findLastIndex(
    (token) => NUMERIC.has(token[0]) || (token[0] === TokenType.Ident && SIZE.test(token[4].value)),
  )
  return size < 0 ? [] : tokens.slice(size + 1)
}

/** Parts of a value between commas, without blanks around them; undefined where anything but names stands there. */
function listed(tokens: readonly CSSToken[]): CSSToken[][] | undefined {
  const parts: CSSToken[][] = [[]]
  for (const token of tokens) {
    if (token[0] === TokenType.Comma) parts.push([])
    else if (token[0] === TokenType.Ident || token[0] === TokenType.String)
      parts.at(-1)!.push(token)
    else if (token[0] === TokenType.Function) return undefined
    else if (!isBlank(token)) return undefined
  }
  return parts
}

function nameOf(css: string, part: readonly CSSToken[]): FontName | undefined {
  const [first] = part
  const last = part.at(-1)
  if (!first || !last) return undefined
  if (first[0] === TokenType.String) {
    return part.length === 1
      ? { start: first[2], end: first[3] + 1, name: first[4].value, isQuoted: true }
      : undefined
  }
  const words = part.flatMap((token) => (token[0] === TokenType.Ident ? [token] : []))
  // With escapes in it, its places in the source are not those of its letters.
  if (words.length < part.length || words.some((word) => word[1] !== word[4].value))
    return undefined
  if (words.length === 1 && GENERIC.test(words[0]![4].value)) return undefined
  const [start, end] = [first[2], last[3] + 1]
  return { start, end, name: css.slice(start, end), isQuoted: false }
}

/** A custom property is a list of typefaces where it ends in a generic one. */
function isFamilyList(tokens: readonly CSSToken[]): boolean {
  const last = tokens.at(-1)
  return (
    last?.[0] === TokenType.Ident &&
    GENERIC.test(last[4].value) &&
    tokens.some(([type]) => type === TokenType.Comma)
  )
}

function listIn({ property, tokens, descriptorOf }: FoundDeclaration): readonly CSSToken[] {
  // What a rule declares as a typeface is not a place where one is used.
  if (descriptorOf !== undefined) return []
  if (property === 'font-family') return tokens
  if (property === 'font') return familiesOf(tokens)
  return property.startsWith('--') && isFamilyList(tokens) ? tokens : []
}

/**
 * The typefaces that a stylesheet or a list of declarations names, generic ones left out: in
 * `font-family`, in `font`, and in custom properties that hold such a list.
 */
export function fontNamesIn(
  css: string,
  context: 'stylesheet' | 'declarationList' = 'stylesheet',
): FontName[] {
  const names: FontName[] = []
  readDeclarations(css, context, (declaration) => {
    for (const part of listed(listIn(declaration)) ?? []) {
      const name = nameOf(css, part)
      if (name) names.push(name)
    }
  })
  return names
}
