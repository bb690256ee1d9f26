import * as z from 'zod'
import { defineKind } from './kind'
import { tag } from './markup'

/** Its HTML is stored clean (`core/markup`), so it stands as it is. */
/** Longest code of a snippet, in UTF-16 units. */
export const mostSnippet = 20_000

export const embed = defineKind({
  kind: 'embed',
  label: 'Embedded snippet',
  content: z.strictObject({ name: z.string().max(120), html: z.string().max(mostSnippet) }),
  facets: [{ key: 'text', label: 'Text', paints: 'text', role: 'text' }],
  css: '',
  html: ({ html }, { root }) => tag('div', root, html),
  samples: () => [{ content: { name: 'Snippet', html: '<p>Words of an embedded snippet</p>' } }],
  title: ({ name }) => name,
})
