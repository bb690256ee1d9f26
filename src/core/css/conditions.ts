import { TokenType, type CSSToken } from '@csstools/css-tokenizer'
import { CLOSER, nameAt, trimmed, type FoundDeclaration } from './tokens'

/** Brackets that are open, with where what is in them begins. */
interface Level {
  readonly from: number
  readonly closer: TokenType
  /** Whether a feature of a style, or several in brackets of their own, may stand in it. */
  readonly asks: boolean
  /** Whether it is within `if()`, the one function of values that asks. */
  readonly inIf: boolean
  /** The feature that it holds, where it holds one: looked for once. */
  feature?: ReturnType<typeof nameAt>
}

/**
 * What conditions ask of styles, as the declarations that would answer them: `style(--name: value)`,
 * and each of several in brackets. A rule is worn only while its condition holds, so what a custom
 * property comes to must be asked for as well. Sources: CSS Conditional 5 §6.2, style features of
 * containers; CSS Values 5, `if()`. Takes time in proportion to the tokens.
 */
export function askedOfStyles(
  tokens: readonly CSSToken[],
  where: 'container' | 'value',
): FoundDeclaration[] {
  const found: FoundDeclaration[] = []
  const levels: Level[] = []
  const featureOf = (level: Level) => (level.feature ??= nameAt(tokens, level.from))
  const enter = (token: CSSToken, i: number, closer: TokenType) => {
    const above = levels.at(-1)
    const name = token[0] === TokenType.Function ? token[4].value.toLowerCase() : ''
    const inIf = name === 'if' || (above?.inIf ?? false)
    const isStyle = name === 'style' && (where === 'container' || inIf)
    const isGroup = token[0] === TokenType.OpenParen && !!above?.asks && featureOf(above).value < 0
    levels.push({ from: i + 1, closer, asks: isStyle || isGroup, inIf })
  }
  tokens.forEach((token, i) => {
    const [type] = token
    const closer = CLOSER[type]
    if (closer) return enter(token, i, closer)
    if (type !== levels.at(-1)?.closer) return
    const own = levels.pop()!
    if (!own.asks) return
    const { name, value } = featureOf(own)
    const asked = value < 0 ? [] : trimmed(tokens.slice(value, i), 0)
    if (asked.length) found.push({ property: name, tokens: asked })
  })
  return found
}

/** Whether a value asks anything of styles. */
export const asksOfStyles = (tokens: readonly CSSToken[]): boolean =>
  tokens.some((token) => token[0] === TokenType.Function && token[4].value.toLowerCase() === 'if')
