import * as z from 'zod'
import { asText, features } from './feature'
import { defineKind } from './kind'
import { tag } from './markup'
import { linkFacet, plainText, runsSchema, wordFacets, writeRuns } from './runs'

export const announcement = defineKind({
  kind: 'announcement',
  label: 'Announcement',
  content: z.strictObject({ runs: runsSchema }),
  facets: [
    { key: 'text', label: 'Text', paints: 'text', role: 'text', takesGradient: true },
    linkFacet,
    ...wordFacets,
  ],
  features: features({
    ...asText({ size: { usual: { px: 15 } }, weight: { usual: 550 } }),
    opacity: null,
  }),
  fresh: { runs: [{ text: 'Something new: ' }, { text: 'read more', href: '#' }] },
  css: `
.announcement { margin: 0; width: 100%; text-align: center; }`,
  html: ({ runs }, around) =>
    tag('p', { ...around.root, ...around.words('runs') }, writeRuns(runs, around)),
  samples: () => [
    {
      content: { runs: [{ text: 'We are closed on Friday. ' }, { text: 'Why?', href: '#' }] },
    },
  ],
  title: ({ runs }) => plainText(runs),
})
