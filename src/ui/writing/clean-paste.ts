import { longestHref, type Run } from '@/core/elements'

/** Elements whose end ends a paragraph. */
const BLOCKS = new Set(
  'address article aside blockquote center dd div dl dt fieldset figure footer form h1 h2 h3 h4 h5 h6 header hr li main nav ol p pre section table tbody tfoot thead tr ul'.split(
    ' ',
  ),
)
/** Elements of which no word is meant for reading. */
const SILENT = new Set(
  'applet audio base canvas embed frame frameset head iframe img link math meta noembed noframes noscript object param script select style svg template textarea title video xml'.split(
    ' ',
  ),
)
/** Where what is pasted may lead. */
const SAFE = /^(?:https?:\/\/|mailto:|tel:)/i

type Marks = Omit<Run, 'text'>

/** What a style attribute says of some words, and the marks that they have then. */
function styled(style: string, marks: Marks): Marks {
  const weight = /font-weight\s*:\s*(\w+)/i.exec(style)?.[1]
  const slant = /font-style\s*:\s*(\w+)/i.exec(style)?.[1]
  const { strong, em, ...rest } = marks
  const isStrong = weight ? /^(?:bold|bolder|[6-9]00)$/i.test(weight) : strong
  const isEm = slant ? /^(?:italic|oblique)$/i.test(slant) : em
  return { ...rest, ...(isStrong ? { strong: true } : {}), ...(isEm ? { em: true } : {}) }
}

function marksWithin(element: Element, marks: Marks): Marks {
  const name = element.localName
  let own = marks
  if (name === 'b' || name === 'strong') own = { ...own, strong: true }
  if (name === 'i' || name === 'em') own = { ...own, em: true }
  if (name === 'a') {
    const href = (element.getAttribute('href') ?? '').trim()
    if (SAFE.test(href) && href.length <= longestHref) own = { ...own, href }
  }
  return styled(element.getAttribute('style') ?? '', own)
}

/** What word processors leave for each other: the bullets of their lists, written as words; deleted and hidden text. */
const isLeftover = (element: Element) =>
  /mso-list\s*:\s*ignore|mso-hide\s*:\s*all|display\s*:\s*none/i.test(
    element.getAttribute('style') ?? '',
  ) || element.localName === 'del'

/** Paragraphs of stretches, as they are put together. */
function collector() {
  const paragraphs: Run[][] = [[]]
  let isPreformatted = false
  const add = (text: string, marks: Marks) => {
    paragraphs.at(-1)!.push({ text, ...marks })
  }
  const end = () => {
    if (paragraphs.at(-1)!.length) paragraphs.push([])
  }
  const visit = (node: Node, marks: Marks): void => {
    if (node.nodeType === Node.TEXT_NODE) {
      const text = node.textContent ?? ''
      add(isPreformatted ? text : text.replace(/[ \t\r\n\f]+/g, ' '), marks)
      return
    }
    if (!(node instanceof Element) || SILENT.has(node.localName) || isLeftover(node)) return
    const name = node.localName
    if (name === 'br') add('\n', marks)
    if (BLOCKS.has(name)) end()
    const before = isPreformatted
    isPreformatted ||= name === 'pre' || name === 'xmp'
    const own = marksWithin(node, marks)
    for (const child of node.childNodes) visit(child, own)
    isPreformatted = before
    if (BLOCKS.has(name)) end()
    else if (name === 'td' || name === 'th') add(' ', {})
  }
  return { paragraphs, visit }
}

/** Blanks at the ends of a paragraph and beside other blanks stand for nothing. */
function tidied(runs: readonly Run[]): Run[] {
  let after = '\n'
  const once = runs.flatMap((run) => {
    let text = run.text.replaceAll('\u00a0', ' ')
    if (after.endsWith(' ') || after.endsWith('\n')) text = text.replace(/^ +/, '')
    if (!text) return []
    after = text
    return { ...run, text }
  })
  const last = once.at(-1)
  if (!last) return []
  const text = last.text.replace(/[ \n]+$/, '')
  return text ? [...once.slice(0, -1), { ...last, text }] : tidied(once.slice(0, -1))
}

/**
 * The words of some HTML, in paragraphs: links, strong and emphasis stay, all else goes.
 * It is parsed where nothing runs and nothing is fetched.
 */
export function cleanPaste(html: string): Run[][] {
  const { body } = new DOMParser().parseFromString(html, 'text/html')
  const { paragraphs, visit } = collector()
  visit(body, {})
  return paragraphs.map(tidied).filter(({ length }) => length > 0)
}

/** The same for text without any marks: an empty line parts paragraphs. */
export function plainPaste(text: string): Run[][] {
  return text
    .replaceAll(/\r\n?/g, '\n')
    .split(/\n\s*\n/)
    .map((each) => each.replace(/^\n+|\s+$/g, ''))
    .filter(Boolean)
    .map((each) => [{ text: each }])
}
