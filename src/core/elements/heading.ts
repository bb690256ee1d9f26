import * as z from 'zod'
import { defineKind } from './kind'
import { tag } from './markup'
import { linkFacet, plainText, runsSchema, wordFacets, writeRuns } from './runs'

export const heading = defineKind({
  kind: 'heading',
  label: 'Heading',
  content: z.strictObject({
    runs: runsSchema,
    level: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  }),
  facets: [
    { key: 'text', label: 'Text', paints: 'text', role: 'heading' },
    linkFacet,
    ...wordFacets,
  ],
  fields: [
    {
      at: 'level',
      as: 'choice',
      label: 'Size',
      options: [
        [1, 'Title'],
        [2, 'Heading'],
        [3, 'Small'],
      ],
    },
  ],
  fresh: { runs: [{ text: 'A heading' }], level: 2 },
  css: `
.heading { font-family: var(--font-heading); font-weight: var(--weight-heading); text-wrap: balance; }
h1.heading { font-size: clamp(2.3rem, 1.2rem + 4.4vw, 4rem); line-height: 1.06; letter-spacing: -0.018em; }
h2.heading { font-size: clamp(1.6rem, 1.1rem + 1.9vw, 2.3rem); line-height: 1.14; letter-spacing: -0.012em; }
h3.heading { font-size: 1.25rem; line-height: 1.25; }`,
  html: ({ runs, level }, around) =>
    tag(`h${level}`, { ...around.root, ...around.words('runs') }, writeRuns(runs, around)),
  samples: (theme) => [{ content: { runs: [{ text: theme }], level: 2 as const } }],
  title: ({ runs }) => plainText(runs),
})
