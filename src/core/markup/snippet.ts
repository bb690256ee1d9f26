import sanitize from 'sanitize-html'
import { withinSite } from '../css'
import type { ContentOf } from '../elements'
import type { Body, SiteElement } from '../site'

/** Files of the site are no matter of snippets. */
const nowhere = () => undefined

/** One pass over a snippet: what may not stand in it is left out. */
function cleanOnce(html: string): string {
  return sanitize(html, {
    allowedTags: [
      ...sanitize.defaults.allowedTags,
      'img',
      'button',
      'label',
      'input',
      'svg',
      'path',
      'circle',
      'rect',
    ],
    allowedAttributes: {
      '*': ['class', 'style', 'title', 'aria-*', 'role'],
      a: ['href'],
      img: ['src', 'alt', 'width', 'height'],
      input: ['type', 'placeholder'],
      svg: ['viewBox', 'width', 'height', 'fill', 'stroke'],
      path: ['d', 'fill', 'stroke', 'stroke-width'],
      circle: ['cx', 'cy', 'r', 'fill', 'stroke'],
      rect: ['x', 'y', 'width', 'height', 'rx', 'fill', 'stroke'],
    },
    allowedSchemesByTag: { img: ['data'] },
    parseStyleAttributes: false,
    transformTags: {
      '*': (tagName, attribs) => {
        const { style } = attribs
        return {
          tagName,
          attribs: style ? { ...attribs, style: withinSite(style, nowhere) } : attribs,
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
