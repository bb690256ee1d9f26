import * as z from 'zod'
import { defineKind } from './kind'
import { tag } from './markup'
import { linkFacet, plainText, runsCss, runsSchema, wordFacets, writeRuns } from './runs'

export const paragraph = defineKind({
  kind: 'paragraph',
  label: 'Paragraph',
  content: z.strictObject({ runs: runsSchema, lead: z.boolean().optional() }),
  facets: [{ key: 'text', label: 'Text', paints: 'text', role: 'text' }, linkFacet, ...wordFacets],
  fields: [{ at: 'lead', as: 'tick', label: 'Larger, as an opening' }],
  fresh: { runs: [{ text: 'Words that say what matters here.' }] },
  css: `
.paragraph { max-width: 62ch; text-wrap: pretty; }
.paragraph.lead { font-size: 1.1875rem; line-height: 1.55; max-width: 46ch; }${runsCss}`,
  html: ({ runs, lead }, around) => {
    const { root, words } = around
    const name = lead ? `${root.class} lead` : root.class
    return tag('p', { ...root, class: name, ...words('runs') }, writeRuns(runs, around))
  },
  samples: () => [
    {
      content: {
        runs: [
          { text: 'Sewn notebooks, marbled papers and ' },
          { text: 'weekend workshops', href: '#' },
          { text: ' for people who like to make things that last.' },
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
    { key: 'text', label: 'Text', paints: 'text', role: 'mutedText' },
    linkFacet,
    ...wordFacets,
  ],
  fresh: { runs: [{ text: 'A few muted words' }] },
  css: `
.fine-print { font-size: 0.9375rem; max-width: 62ch; }`,
  html: ({ runs }, around) =>
    tag('p', { ...around.root, ...around.words('runs') }, writeRuns(runs, around)),
  samples: () => [
    { content: { runs: [{ text: 'Small words, with ' }, { text: 'a link', href: '#' }] } },
  ],
  title: ({ runs }) => plainText(runs),
})
