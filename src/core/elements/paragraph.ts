import * as z from 'zod'
import { defineKind } from './kind'
import { tag } from './markup'
import { linkFacet, plainText, runsSchema, writeRuns } from './runs'

export const paragraph = defineKind({
  kind: 'paragraph',
  label: 'Paragraph',
  content: z.strictObject({ runs: runsSchema, lead: z.boolean().optional() }),
  facets: [{ key: 'text', label: 'Text', paints: 'text', role: 'text' }, linkFacet],
  css: `
.paragraph { max-width: 62ch; text-wrap: pretty; }
.paragraph.lead { font-size: 1.1875rem; line-height: 1.55; max-width: 46ch; }
.link { text-decoration-thickness: 1px; text-underline-offset: 0.2em; }`,
  html: ({ runs, lead }, surroundings) => {
    const { root } = surroundings
    const attributes = lead ? { ...root, class: `${root.class} lead` } : root
    return tag('p', attributes, writeRuns(runs, surroundings))
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
  ],
  title: ({ runs }) => plainText(runs),
})

export const finePrint = defineKind({
  kind: 'finePrint',
  label: 'Muted text',
  content: z.strictObject({ runs: runsSchema }),
  facets: [{ key: 'text', label: 'Text', paints: 'text', role: 'mutedText' }, linkFacet],
  css: `
.fine-print { font-size: 0.9375rem; max-width: 62ch; }`,
  html: ({ runs }, surroundings) => tag('p', surroundings.root, writeRuns(runs, surroundings)),
  samples: () => [
    { content: { runs: [{ text: 'Small words, with ' }, { text: 'a link', href: '#' }] } },
  ],
  title: ({ runs }) => plainText(runs),
})
