import * as z from 'zod'
import { asText, features } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

/** The tone is told by a sign as well as by colour (WCAG 2.2 §1.4.1). */
const SIGNS = { success: '✓', warning: '!', danger: '×' } as const

export const mark = defineKind({
  kind: 'mark',
  label: 'Mark',
  content: z.strictObject({
    text: z.string().max(120),
    tone: z.enum(['success', 'warning', 'danger']),
  }),
  facets: [
    {
      key: 'text',
      label: 'Text',
      paints: 'text',
      role: { by: 'tone', of: { success: 'success', warning: 'warning', danger: 'danger' } },
    },
  ],
  features: features({
    ...asText({ size: { usual: { px: 15 } }, weight: { usual: 600 } }),
    opacity: null,
  }),
  fields: [
    {
      at: 'tone',
      as: 'choice',
      label: 'Says',
      options: [
        ['success', 'Good'],
        ['warning', 'Mind'],
        ['danger', 'No'],
      ],
    },
  ],
  fresh: { text: '3 places left', tone: 'success' },
  css: `
.mark { display: inline-flex; gap: 0.4em; margin: 0; }`,
  html: ({ text, tone }, { root, words }) =>
    tag(
      'p',
      { ...root, 'data-tone': tone },
      `${tag('span', { 'aria-hidden': 'true' }, SIGNS[tone])}${tag('span', words('text'), escapeHtml(text))}`,
    ),
  samples: () => [
    { content: { tone: 'success' as const, text: '6 places' }, row: 'marks' },
    { content: { tone: 'warning' as const, text: '2 places' }, row: 'marks' },
    { content: { tone: 'danger' as const, text: 'Full' }, row: 'marks' },
  ],
  title: ({ text }) => text,
})
