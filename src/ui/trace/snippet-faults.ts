import { htmlLanguage } from '@codemirror/lang-html'
import type { FaultInText } from '../code'

const NOTHING_RUNS = 'Nothing runs on published pages.'
const RULES = 'Rules for the whole page belong into the custom CSS.'
const PAGES = 'Pages of others are not shown inside of these.'

/** Elements that may not stand in a snippet, and why. */
const ELEMENTS: Readonly<Record<string, string>> = {
  script: 'Scripts do not run on published pages.',
  iframe: PAGES,
  frame: PAGES,
  object: PAGES,
  embed: PAGES,
  link: RULES,
  base: RULES,
  meta: RULES,
  style: RULES,
}

const ELSEWHERE = /^\s*(?:https?:)?\/\//i
const FETCHES = /url\(\s*["']?\s*(?:https?:)?\/\//i

/** Why an attribute may not stand in a snippet. */
function againstAttribute(name: string, value: string): string | undefined {
  if (name.startsWith('on')) return NOTHING_RUNS
  if (name === 'href' && /^\s*javascript:/i.test(value))
    return `${NOTHING_RUNS} Link to an address.`
  if (name === 'src' && ELSEWHERE.test(value))
    return 'Nothing is fetched from elsewhere: take the file into the site.'
  if (name === 'style' && FETCHES.test(value)) return 'Nothing is fetched from elsewhere.'
  return undefined
}

/**
 * Places in a snippet that will not be kept, in the order of the text.
 * The server decides what is kept; this shows where, as far as one tag tells it.
 */
export function snippetFaults(html: string): FaultInText[] {
  const faults: FaultInText[] = []
  let opening = { from: 0, to: 0 }
  htmlLanguage.parser.parse(html).iterate({
    enter({ name, from, to, node }) {
      const text = html.slice(from, to)
      if (name === 'OpenTag' || name === 'SelfClosingTag') opening = { from, to }
      if (name === 'TagName' && from < opening.to) {
        const words = ELEMENTS[text.toLowerCase()]
        if (words) faults.push({ ...opening, words })
      }
      if (name !== 'Attribute') return
      const nameOf = node.getChild('AttributeName')
      const value = node.getChild('AttributeValue') ?? node.getChild('UnquotedAttributeValue')
      const words = againstAttribute(
        nameOf ? html.slice(nameOf.from, nameOf.to).toLowerCase() : '',
        value ? html.slice(value.from, value.to).replace(/^["']|["']$/g, '') : '',
      )
      if (words) faults.push({ from, to, words })
    },
  })
  return faults
}
