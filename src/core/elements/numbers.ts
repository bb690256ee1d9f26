import * as z from 'zod'
import { asHeading, asText, features, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

export const numbers = defineKind({
  kind: 'numbers',
  label: 'Numbers',
  content: z.strictObject({
    items: z
      .array(z.strictObject({ figure: z.string().max(40), text: z.string().max(200) }))
      .max(12),
  }),
  facets: [
    {
      key: 'figure',
      label: 'Figures',
      paints: 'text',
      part: 'figure',
      role: 'heading',
      takesGradient: true,
    },
    { key: 'text', label: 'Words', paints: 'text', part: 'figure-text', role: 'mutedText' },
    { key: 'line', label: 'Rules', paints: 'line', part: 'figure-box', role: 'accent' },
  ],
  features: [
    ...features(
      asHeading({
        size: { usual: { px: 49.6, narrow: 32 } },
        leading: { usual: 1.05 },
      }),
      { part: 'figure', as: 'figure', label: 'Figures' },
    ),
    ...features(asText({ size: { usual: { px: 15 } } }), {
      part: 'figure-text',
      as: 'text',
      label: 'Words',
    }),
    ...features(
      { lineWidth: { usual: { top: 2, right: 0, bottom: 0, left: 0 } }, lineStyle: solid },
      { part: 'figure-box', as: 'box', label: 'Rules' },
    ),
  ],
  fields: [
    {
      at: 'items',
      as: 'list',
      label: 'Numbers',
      entry: 'number',
      fields: [
        { at: 'figure', as: 'line', label: 'Figure', longest: 40 },
        { at: 'text', as: 'line', label: 'Words', longest: 200 },
      ],
      fresh: { figure: '100', text: 'of something' },
      least: 1,
      most: 12,
    },
  ],
  fresh: {
    items: [
      { figure: '12', text: 'years in town' },
      { figure: '340', text: 'things made by hand' },
      { figure: '2', text: 'of us' },
    ],
  },
  css: `
.numbers { display: grid; grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr)); gap: 1.5rem 2.5rem; width: 100%; margin: 0; }
.figure-box { display: flex; flex-direction: column-reverse; justify-content: flex-end; padding-top: 0.9rem; }
.figure { margin: 0; font-variant-numeric: tabular-nums; }
.figure-text { margin: 0.35rem 0 0; }`,
  html: ({ items }, { root, words }) =>
    tag(
      'dl',
      root,
      items
        .map(({ figure, text }, i) =>
          tag(
            'div',
            { class: 'figure-box' },
            tag('dt', { class: 'figure-text', ...words('items', i, 'text') }, escapeHtml(text)) +
              tag('dd', { class: 'figure', ...words('items', i, 'figure') }, escapeHtml(figure)),
          ),
        )
        .join(''),
    ),
  samples: () => [{ content: { items: [{ figure: '1,240', text: 'so far' }] } }],
  title: ({ items }) => items.map(({ figure }) => figure).join(', ') || 'no number',
})
