import sanitize from 'sanitize-html'
import { z } from 'zod'
import { withinSite } from '../css'
import { defineKind } from './kind'
import { tag } from './markup'

/** Files of the site are no matter of snippets. */
const nowhere = () => undefined

/** What a snippet may hold: words, boxes, pictures and style attributes; nothing that runs or loads from elsewhere. */
function cleanSnippet(html: string): string {
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

export const embed = defineKind({
  kind: 'embed',
  label: 'Embedded snippet',
  content: z.strictObject({ name: z.string().max(120), html: z.string().max(20_000) }),
  facets: [{ key: 'text', label: 'Text', paints: 'text', role: 'text' }],
  css: '',
  html: ({ html }, { root }) => tag('div', root, cleanSnippet(html)),
  title: ({ name }) => name,
})
