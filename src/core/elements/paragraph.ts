import * as z from 'zod'
import { asText, features } from './feature'
import { defineKind } from './kind'
import { tag } from './markup'
import {
  linkFacet,
  linkFeatures,
  plainText,
  runsCss,
  runsSchema,
  wordFacets,
  writeRuns,
} from './runs'

export const paragraph = defineKind({
  kind: 'paragraph',
  label: 'Paragraph',
  content: z.strictObject({ runs: runsSchema, lead: z.boolean().optional() }),
  facets: [
    { key: 'text', label: 'Text', paints: 'text', role: 'text', takesGradient: true },
    linkFacet,
    ...wordFacets,
  ],
  bases: [
    {
      id: 'paragraph',
      label: 'Body text',
      where: ':not(.lead)',
      by: 'lead',
      is: ({ lead }) => !lead,
    },
    { id: 'lead', label: 'Opening text', where: '.lead', by: 'lead', is: ({ lead }) => !!lead },
  ],
  features: [
    ...features({
      ...asText({
        size: {
          byBase: { paragraph: { usual: { step: 0 } }, lead: { usual: { px: 19 } } },
        },
        leading: {
          byBase: { paragraph: { setting: 'textLeading' }, lead: { usual: 1.55 } },
        },
      }),
      measure: { byBase: { paragraph: { setting: 'measure' }, lead: { usual: 46 } } },
      opacity: null,
    }),
    ...linkFeatures,
  ],
  fields: [{ at: 'lead', as: 'tick', label: 'Larger, as an opening' }],
  fresh: { runs: [{ text: 'Words that say what matters here.' }] },
  css: `
.paragraph { text-wrap: pretty; }${runsCss}`,
  html: ({ runs, lead }, around) => {
    const { root, words } = around
    const name = lead ? `${root.class} lead` : root.class
    return tag('p', { ...root, class: name, ...words('runs') }, writeRuns(runs, around))
  },
  samples: () => [
    {
      content: {
        runs: [
          { text: 'Words as they run on a page, with ' },
          { text: 'a link', href: '#' },
          { text: ' among them and a line that goes on long enough to break.' },
        ],
      },
    },
    {
      content: {
        runs: [
          { text: 'Words in a tint', words: 'tintA' as const },
          { text: ', ' },
          { text: 'a second', words: 'tintB' as const },
          { text: ' and ' },
          { text: 'a third', words: 'tintC' as const },
          { text: ', ' },
          { text: 'marked', words: 'markerA' as const },
          { text: ' and ' },
          { text: 'softly marked', words: 'markerB' as const },
        ],
      },
    },
  ],
  title: ({ runs }) => plainText(runs),
})

export const finePrint = defineKind({
  kind: 'finePrint',
  label: 'Muted text',
  content: z.strictObject({ runs: runsSchema }),
  facets: [
    { key: 'text', label: 'Text', paints: 'text', role: 'mutedText', takesGradient: true },
    linkFacet,
    ...wordFacets,
  ],
  features: [
    ...features({
      ...asText({ size: { usual: { px: 15 } } }),
      measure: { setting: 'measure' },
      opacity: null,
    }),
    ...linkFeatures,
  ],
  fresh: { runs: [{ text: 'A few muted words' }] },
  css: '',
  html: ({ runs }, around) =>
    tag('p', { ...around.root, ...around.words('runs') }, writeRuns(runs, around)),
  samples: () => [
    { content: { runs: [{ text: 'Small words, with ' }, { text: 'a link', href: '#' }] } },
  ],
  title: ({ runs }) => plainText(runs),
})
