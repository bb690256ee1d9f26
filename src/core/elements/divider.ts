import * as z from 'zod'
import { defineKind } from './kind'
import { tag } from './markup'

export const divider = defineKind({
  kind: 'divider',
  label: 'Divider',
  content: z.strictObject({}),
  facets: [{ key: 'line', label: 'Line', paints: 'line', role: 'line' }],
  fresh: {},
  css: `
.divider { width: 100%; margin: 0.5rem 0; border: 0; border-top: 1px solid; }`,
  html: (_content, { root }) => tag('hr', root),
  samples: () => [{ content: {} }],
  title: () => 'line',
})
