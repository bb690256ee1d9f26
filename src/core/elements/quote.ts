import * as z from 'zod'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'
import { linkFacet, plainText, runsSchema, wordFacets, writeRuns } from './runs'

export const quote = defineKind({
  kind: 'quote',
  label: 'Quote',
  content: z.strictObject({ runs: runsSchema, source: z.string().max(200) }),
  facets: [
    { key: 'text', label: 'Words', paints: 'text', part: 'quote-words', role: 'heading' },
    { key: 'source', label: 'Source', paints: 'text', part: 'quote-source', role: 'mutedText' },
    { key: 'line', label: 'Rule', paints: 'line', role: 'accent' },
    linkFacet,
    ...wordFacets,
  ],
  fresh: { runs: [{ text: 'What somebody said of you.' }], source: 'Who said it' },
  css: `
.quote { margin: 0; padding-left: 1.4rem; border-left: 3px solid; max-width: 44ch; }
.quote-words { margin: 0; font-family: var(--font-heading); font-size: 1.375rem; line-height: 1.35; }
.quote-source { margin: 0.8rem 0 0; font-size: 0.9375rem; }`,
  html: ({ runs, source }, around) =>
    tag(
      'blockquote',
      around.root,
      tag('p', { class: 'quote-words', ...around.words('runs') }, writeRuns(runs, around)) +
        tag('p', { class: 'quote-source', ...around.words('source') }, escapeHtml(source)),
    ),
  samples: () => [
    { content: { runs: [{ text: 'It opens flat, and stays so.' }], source: 'Mabel Orrin' } },
  ],
  title: ({ runs }) => plainText(runs),
})
