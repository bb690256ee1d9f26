import { tokenizer, TokenType, type CSSToken } from '@csstools/css-tokenizer'
import { askedOfStyles, asksOfStyles } from './conditions'
import { CLOSER, isBlank, nameAt, trimmed, type FoundDeclaration } from './tokens'

/** At-rules that hold descriptors or properties by themselves, outside of any style rule. */
const HOLDS_DECLARATIONS = new Set([
  'font-face',
  'property',
  'counter-style',
  'font-palette-values',
  'page',
  'position-try',
  'view-transition',
  'color-profile',
  'function',
])

interface Block {
  /** Whether declarations count here: within a style rule, or in an at-rule that holds descriptors. */
  readonly takes: boolean
  readonly descriptorOf?: string
}

const OPENED = new Set(Object.values(CLOSER))

function withoutImportant(tokens: CSSToken[]): CSSToken[] {
  const last = tokens.at(-1)
  if (last?.[0] !== TokenType.Ident || last[4].value.toLowerCase() !== 'important') return tokens
  const mark = tokens.findLastIndex((token, i) => i < tokens.length - 1 && !isBlank(token))
  const token = tokens[mark]
  if (token?.[0] !== TokenType.Delim || token[4].value !== '!') return tokens
  return trimmed(tokens.slice(0, mark), 0)
}

/** The block of an at-rule in another block. */
function blockOf(name: string, above: Block): Block {
  if (HOLDS_DECLARATIONS.has(name)) return { takes: true, descriptorOf: name }
  // Conditions within a function hold what the function holds.
  const { descriptorOf } = above
  const inFunction = descriptorOf === 'function' && { descriptorOf }
  return { takes: above.takes || name === 'scope', ...inFunction }
}

/** What the parameters of a custom function are where a call leaves them out (CSS Functions and Mixins 1 §2.1). */
function defaultsOf(item: readonly CSSToken[]): FoundDeclaration[] {
  const open = item.findIndex(([type]) => type === TokenType.Function)
  if (open < 0) return []
  const found: FoundDeclaration[] = []
  let parameter: CSSToken[] = []
  let depth = 0
  const end = () => {
    const [name] = trimmed(parameter, 0)
    const colon = parameter.findIndex(([type]) => type === TokenType.Colon)
    const tokens = colon < 0 ? [] : trimmed(parameter, colon + 1)
    if (name?.[0] === TokenType.Ident && tokens.length) {
      found.push({ property: name[4].value, tokens, descriptorOf: 'function' })
    }
    parameter = []
  }
  for (const token of item.slice(open + 1)) {
    const [type] = token
    if (depth === 0 && (type === TokenType.Comma || type === TokenType.CloseParen)) end()
    else parameter.push(token)
    if (CLOSER[type]) depth += 1
    else if (OPENED.has(type)) depth -= 1
    if (depth < 0) break
  }
  return found
}

/**
 * Every declaration of a stylesheet, or of one declaration list, in the order
 * in which they stand; after each, and before the rules of a container, those that
 * a condition asks for. Source: CSS Syntax 3 §5.5, "consume a block's contents",
 * with CSS Nesting: what begins like a declaration and comes upon a `{` is a
 * nested rule, with or without `&`. Takes time in proportion to the length and
 * keeps no more of the text than one declaration; nesting of any depth is read.
 */
export function readDeclarations(
  css: string,
  context: 'stylesheet' | 'declarationList',
  visit: (declaration: FoundDeclaration) => void,
): void {
  const stream = tokenizer({ css })
  const blocks: Block[] = [{ takes: context === 'declarationList' }]
  /** What stands since the last `;` or brace, and the brackets that are open in it. */
  let item: CSSToken[] = []
  const open: TokenType[] = []
  /** Whether the item is known to be a custom property, which may hold braces. */
  let isCustom = false

  const end = () => {
    const { takes, descriptorOf } = blocks.at(-1)!
    const { name, value } = nameAt(item, 0)
    if (takes && value >= 0) {
      const tokens = withoutImportant(trimmed(item, value))
      if (tokens.length) visit({ property: name, tokens, ...(descriptorOf && { descriptorOf }) })
      if (asksOfStyles(tokens)) for (const each of askedOfStyles(tokens, 'value')) visit(each)
    }
    item = []
    isCustom = false
  }
  const isValue = () => {
    isCustom ||= blocks.at(-1)!.takes && nameAt(item, 0).name.startsWith('--')
    return isCustom
  }
  const enter = () => {
    const [first] = item
    const above = blocks.at(-1)!
    if (first?.[0] !== TokenType.AtKeyword) blocks.push({ takes: true })
    else {
      const name = first[4].value.toLowerCase()
      if (name === 'function') for (const each of defaultsOf(item)) visit(each)
      if (name === 'container') for (const each of askedOfStyles(item, 'container')) visit(each)
      blocks.push(blockOf(name, above))
    }
    item = []
  }

  for (;;) {
    const token = stream.nextToken()
    const [type] = token
    if (type === TokenType.EOF) break
    if (open.length) {
      item.push(token)
      if (type === open.at(-1)) open.pop()
      else if (CLOSER[type]) open.push(CLOSER[type])
      continue
    }
    if (type === TokenType.Semicolon) {
      // Outside of blocks a `;` ends at-rules alone; elsewhere it is part of a selector.
      if (blocks.length > 1 || context === 'declarationList') end()
      else if (item[0]?.[0] === TokenType.AtKeyword) item = []
    } else if (type === TokenType.CloseCurly) {
      end()
      if (blocks.length > 1) blocks.pop()
    } else if (type === TokenType.OpenCurly && !isValue()) enter()
    else if (item.length || !isBlank(token)) {
      item.push(token)
      if (CLOSER[type]) open.push(CLOSER[type])
    }
  }
  end()
}
