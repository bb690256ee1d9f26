import sanitize from 'sanitize-html'
import { staysInside, withinSite } from '../css'
import type { ContentOf } from '../elements'
import type { Body, SiteElement } from '../site'
import { staysHere } from './references'

/** Files of the site are no matter of snippets. */
const nowhere = () => undefined

/** What icons are drawn of, each with what gives it its form. */
const SHAPES: Readonly<Record<string, readonly string[]>> = {
  svg: ['viewBox', 'width', 'height', 'preserveAspectRatio'],
  g: [],
  path: ['d'],
  circle: ['cx', 'cy', 'r'],
  ellipse: ['cx', 'cy', 'rx', 'ry'],
  line: ['x1', 'y1', 'x2', 'y2'],
  polyline: ['points'],
  polygon: ['points'],
  rect: ['x', 'y', 'width', 'height', 'rx', 'ry'],
}
/** How any of them is painted. */
const PAINTED = [
  ...['fill', 'fill-opacity', 'fill-rule', 'clip-rule', 'opacity', 'transform'],
  ...['stroke', 'stroke-width', 'stroke-opacity', 'stroke-linecap', 'stroke-linejoin'],
  ...['stroke-miterlimit', 'stroke-dasharray', 'stroke-dashoffset'],
]

/** One pass over a snippet: what may not stand in it is left out. */
function cleanOnce(html: string): string {
  return sanitize(html, {
    allowedTags: [
      ...sanitize.defaults.allowedTags,
      'img',
      'button',
      'label',
      'input',
      ...Object.keys(SHAPES),
    ],
    allowedAttributes: {
      '*': ['class', 'style', 'title', 'aria-*', 'role'],
      a: ['href'],
      img: ['src', 'alt', 'width', 'height'],
      input: ['type', 'placeholder'],
      ...Object.fromEntries(
        Object.entries(SHAPES).map(([tag, own]) => [tag, [...own, ...PAINTED]]),
      ),
    },
    allowedSchemesByTag: { img: ['data'] },
    parseStyleAttributes: false,
    transformTags: {
      '*': (tagName, attribs) => {
        const kept = Object.entries(attribs).filter(([name, value]) => {
          if (tagName === 'img' && name === 'src') return staysInside(value)
          return !PAINTED.includes(name) || staysHere(value)
        })
        const own = Object.fromEntries(kept)
        return {
          tagName,
          attribs: own.style ? { ...own, style: withinSite(own.style, nowhere) } : own,
        }
      },
    },
    parser: { lowerCaseAttributeNames: false },
  })
}

/** Whether cleaning a snippet takes something out of it, rather than only writing the same in another way. */
export function losesByCleaning(html: string): boolean {
  const whole = sanitize(html, {
    allowedTags: false,
    allowedAttributes: false,
    allowVulnerableTags: true,
    allowedSchemesAppliedToAttributes: [],
    parseStyleAttributes: false,
    parser: { lowerCaseAttributeNames: false },
  } as never)
  return cleanSnippet(html) !== whole
}

/** Passes until nothing changes any more; each mends nesting that the one before has left. */
const MOST_PASSES = 10

/**
 * A snippet with what it may hold: words, boxes, pictures and style attributes;
 * nothing that runs or loads from elsewhere. What is clean stays as it is.
 */
export function cleanSnippet(html: string): string {
  let clean = cleanOnce(html)
  for (let pass = 1; pass < MOST_PASSES; pass += 1) {
    const next = cleanOnce(clean)
    if (next === clean) return clean
    clean = next
  }
  return clean
}

function cleaned(element: SiteElement): SiteElement {
  if (element.kind !== 'embed') return element
  const content = element.content as ContentOf<'embed'>
  const html = cleanSnippet(content.html)
  return html === content.html ? element : { ...element, content: { ...content, html } }
}

/** A record with its snippets cleaned; the same one where they are. */
export function withCleanSnippets<T extends { readonly body: Body }>(record: T): T {
  const all = Object.entries(record.body.elements)
  const elements = all.map(([id, element]) => [id, cleaned(element)] as const)
  if (elements.every(([, element], i) => element === all[i]![1])) return record
  return { ...record, body: { ...record.body, elements: Object.fromEntries(elements) } }
}
