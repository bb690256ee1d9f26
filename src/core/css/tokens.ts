import { TokenType, type CSSToken } from '@csstools/css-tokenizer'

/** A declaration as it stands in a stylesheet or in a `style` attribute. */
export interface FoundDeclaration {
  /** In lower case, but for custom properties; escapes resolved. */
  readonly property: string
  /** The value, without `!important` and without blanks and comments around it. Offsets of tokens count UTF-16 units. */
  readonly tokens: readonly CSSToken[]
  /** The at-rule whose descriptor this is (`property`, `font-face` …); absent for properties. */
  readonly descriptorOf?: string
}

/** What closes a bracket, by what opens it. */
export const CLOSER: Partial<Record<TokenType, TokenType>> = {
  [TokenType.OpenParen]: TokenType.CloseParen,
  [TokenType.Function]: TokenType.CloseParen,
  [TokenType.OpenSquare]: TokenType.CloseSquare,
  [TokenType.OpenCurly]: TokenType.CloseCurly,
}

export const isBlank = (token: CSSToken | undefined): boolean =>
  token?.[0] === TokenType.Whitespace || token?.[0] === TokenType.Comment

/** Tokens without the blanks and comments at both ends. */
export function trimmed(tokens: readonly CSSToken[], from: number): CSSToken[] {
  let [start, end] = [from, tokens.length]
  while (start < end && isBlank(tokens[start])) start += 1
  while (end > start && isBlank(tokens[end - 1])) end -= 1
  return tokens.slice(start, end)
}

function pastBlanks(tokens: readonly CSSToken[], from: number): number {
  let at = from
  while (isBlank(tokens[at])) at += 1
  return at
}

/** A name and a colon, then anything: what a declaration begins with, blanks before it aside. Gives the name, and where its value begins; −1 where there is none. */
export function nameAt(tokens: readonly CSSToken[], from: number): { name: string; value: number } {
  const first = pastBlanks(tokens, from)
  const token = tokens[first]
  const colon = pastBlanks(tokens, first + 1)
  if (token?.[0] !== TokenType.Ident || tokens[colon]?.[0] !== TokenType.Colon) {
    return { name: '', value: -1 }
  }
  const name = token[4].value
  return { name: name.startsWith('--') ? name : name.toLowerCase(), value: colon + 1 }
}
