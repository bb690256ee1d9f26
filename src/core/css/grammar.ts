import { lexer, parse } from 'css-tree'

/** Beyond these a value is not checked: what is longer or deeper is no hand's work, and matching it takes long. */
export const longestChecked = 4000
const DEEPEST = 40

function depthOf(text: string): number {
  let [depth, most] = [0, 0]
  for (const character of text) {
    if (character === '(' || character === '[' || character === '{') most = Math.max(most, ++depth)
    else if (character === ')' || character === ']' || character === '}') depth -= 1
  }
  return most
}

const known = new Map<string, boolean>()
const MOST_KNOWN = 5000

function remembered(key: string, find: () => boolean): boolean {
  const before = known.get(key)
  if (before !== undefined) return before
  if (known.size >= MOST_KNOWN) known.clear()
  const found = find()
  known.set(key, found)
  return found
}

function matches(value: string, match: (value: string) => { error: Error | null }): boolean {
  if (depthOf(value) > DEEPEST) return false
  try {
    return match(value).error === null
  } catch {
    // What css-tree cannot parse as a value, browsers do not take either.
    return false
  }
}

const valueOf = (text: string) => parse(text, { context: 'value' })

/** Functions of other engines. */
const FOREIGN = /(?:^|[^\w-])-(?:moz|ms|o|khtml)-[\w-]+\(/i
/** What old stylesheets put at the end so that only old browsers take the value: `\9`, `\0/`. */
const HACK = /\\\d+\s*\/?\s*$/

/**
 * Whether browsers take a value for a property, by the grammar of CSS
 * (css-tree’s tables, from the specifications). A property that the tables do
 * not know counts as taken; functions of other engines and values made for
 * old ones do not, though the tables know them.
 */
export function isAcceptedValue(property: string, value: string): boolean {
  if (value.length > longestChecked) return false
  return remembered(`${property}:${value}`, () => {
    if (FOREIGN.test(value) || HACK.test(value)) return false
    if (!lexer.getProperty(property)) return true
    return matches(value, (text) => lexer.matchProperty(property, valueOf(text)))
  })
}

/** What custom properties of several words hold when they hold colours. */
const COLORED = [
  '<color>+',
  '<color>#',
  '<color-stop-list>',
  "<'box-shadow'>",
  "<'text-shadow'>",
  "<'border'>",
  "<'outline'>",
  "<'background'>",
  "<'text-decoration'>",
]

/** Whether a custom property’s value is one that a property with colours would take: `1px solid red`, not `red team`. */
export function isColoredValue(value: string): boolean {
  if (value.length > longestChecked) return false
  return remembered(`--:${value}`, () =>
    COLORED.some((syntax) => matches(value, (text) => lexer.match(syntax, valueOf(text)))),
  )
}
