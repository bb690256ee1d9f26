import * as z from 'zod'
import { asHeading, asText, features, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'
import { linkFacet, linkFeatures, plainText, runsSchema, wordFacets, writeRuns } from './runs'

export const quote = defineKind({
  kind: 'quote',
  label: 'Quote',
  content: z.strictObject({ runs: runsSchema, source: z.string().max(200) }),
  facets: [
    {
      key: 'text',
      label: 'Words',
      paints: 'text',
      part: 'quote-words',
      role: 'heading',
      takesGradient: true,
    },
    { key: 'source', label: 'Source', paints: 'text', part: 'quote-source', role: 'mutedText' },
    { key: 'line', label: 'Rule', paints: 'line', role: 'accent' },
    linkFacet,
    ...wordFacets,
  ],
  features: [
    ...features({
      lineWidth: { usual: { top: 0, right: 0, bottom: 0, left: 3 } },
      lineStyle: solid,
      measure: { usual: 44 },
      opacity: null,
    }),
    ...features(
      asHeading({
        size: { usual: { px: 22 } },
        weight: { setting: 'bodyWeight' },
        leading: { usual: 1.35 },
      }),
      { part: 'quote-words', as: 'words', label: 'Words' },
    ),
    ...features(asText({ size: { usual: { px: 15 } } }), {
      part: 'quote-source',
      as: 'source',
      label: 'Source',
    }),
    ...linkFeatures,
  ],
  fresh: { runs: [{ text: 'What somebody said of you.' }], source: 'Who said it' },
  css: `
.quote { margin: 0; padding-left: 1.4rem; }
.quote-words { margin: 0; }
.quote-source { margin: 0.8rem 0 0; }`,
  html: ({ runs, source }, around) =>
    tag(
      'blockquote',
      around.root,
      tag('p', { class: 'quote-words', ...around.words('runs') }, writeRuns(runs, around)) +
        tag('p', { class: 'quote-source', ...around.words('source') }, escapeHtml(source)),
    ),
  samples: () => [
    {
      content: {
        runs: [{ text: 'They did what they had said, and a little more.' }],
        source: 'Mabel Orrin',
      },
    },
  ],
  title: ({ runs }) => plainText(runs),
})
