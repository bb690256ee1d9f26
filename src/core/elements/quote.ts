import * as z from 'zod'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

export const quote = defineKind({
  kind: 'quote',
  label: 'Quote',
  content: z.strictObject({ text: z.string().max(1000), source: z.string().max(200) }),
  facets: [
    { key: 'text', label: 'Words', paints: 'text', part: 'quote-words', role: 'heading' },
    { key: 'source', label: 'Source', paints: 'text', part: 'quote-source', role: 'mutedText' },
    { key: 'line', label: 'Rule', paints: 'line', role: 'accent' },
  ],
  css: `
.quote { margin: 0; padding-left: 1.4rem; border-left: 3px solid; max-width: 44ch; }
.quote-words { margin: 0; font-family: var(--font-heading); font-size: 1.375rem; line-height: 1.35; }
.quote-source { margin: 0.8rem 0 0; font-size: 0.9375rem; }`,
  html: ({ text, source }, { root }) =>
    tag(
      'blockquote',
      root,
      tag('p', { class: 'quote-words' }, escapeHtml(text)) +
        tag('p', { class: 'quote-source' }, escapeHtml(source)),
    ),
  samples: () => [{ content: { text: 'It opens flat, and stays so.', source: 'Mabel Orrin' } }],
  title: ({ text }) => text,
})
