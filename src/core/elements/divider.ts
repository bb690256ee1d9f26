import * as z from 'zod'
import { features, solid } from './feature'
import { defineKind } from './kind'
import { tag } from './markup'

export const divider = defineKind({
  kind: 'divider',
  label: 'Divider',
  content: z.strictObject({}),
  facets: [{ key: 'line', label: 'Line', paints: 'line', role: 'line' }],
  features: features({
    lineWidth: { usual: { top: 1, right: 0, bottom: 0, left: 0 } },
    lineStyle: solid,
    opacity: null,
  }),
  fresh: {},
  css: `
.divider { width: 100%; margin: 0.5rem 0; }`,
  html: (_content, { root }) => tag('hr', root),
  samples: () => [{ content: {} }],
  title: () => 'line',
})
