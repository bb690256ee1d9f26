import { tokenize, TokenType } from '../css'
import { colorOf } from '../color'

/** A function by its name, and its arguments as they are written; undefined for anything else. */
function callOf(text: string): { name: string; args: string[] } | undefined {
  const tokens = tokenize({ css: text.trim() })
  const [first] = tokens
  if (first?.[0] !== TokenType.Function) return undefined
  const args: string[] = []
  let [depth, from] = [0, first[3] + 1]
  for (const [type, , start, end] of tokens) {
    if (type === TokenType.Function || type === TokenType.OpenParen) depth += 1
    const closes = type === TokenType.CloseParen && (depth -= 1) === 0
    if (!closes && !(type === TokenType.Comma && depth === 1)) continue
    args.push(text.trim().slice(from, start))
    from = end + 1
    if (closes) break
  }
  return { name: first[4].value.toLowerCase(), args }
}

const withoutCurrent = (text: string) => text.replace(/\bcurrentcolor\b/gi, 'black')

/**
 * Whether browsers take a text for a colour, those included that depend on
 * where they stand (`currentColor`, `light-dark()`, `contrast-color()`), as
 * Chromium 156 reads them: `color-mix()` of two colours, with its space told.
 */
export function isColorText(text: string): boolean {
  const call = callOf(text)
  switch (call?.name) {
    case 'light-dark':
      return call.args.length === 2 && call.args.every(isColorText)
    case 'contrast-color':
      return call.args.length === 1 && call.args.every(isColorText)
    case 'color-mix':
      return (
        call.args.length === 3 &&
        /^\s*in\s/i.test(call.args[0]!) &&
        colorOf(withoutCurrent(text)) !== undefined
      )
    default:
      return colorOf(withoutCurrent(text)) !== undefined
  }
}
