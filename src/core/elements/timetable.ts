import * as z from 'zod'
import { asText, features, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

export const timetable = defineKind({
  kind: 'timetable',
  label: 'Timetable',
  content: z.strictObject({
    items: z
      .array(
        z.strictObject({
          when: z.string().max(80),
          what: z.string().max(200),
          more: z.string().max(300),
        }),
      )
      .max(60),
  }),
  facets: [
    { key: 'when', label: 'Times', paints: 'text', part: 'time-when', role: 'heading' },
    { key: 'what', label: 'Words', paints: 'text', part: 'time-what', role: 'text' },
    { key: 'more', label: 'More words', paints: 'text', part: 'time-more', role: 'mutedText' },
    { key: 'line', label: 'Rules', paints: 'line', part: 'time-row', role: 'line' },
  ],
  features: [
    ...features(asText({ weight: { usual: 650 } }), {
      part: 'time-when',
      as: 'when',
      label: 'Times',
    }),
    ...features(asText(), { part: 'time-what', as: 'what', label: 'Words' }),
    ...features(asText({ size: { usual: { px: 15 } } }), {
      part: 'time-more',
      as: 'more',
      label: 'More words',
    }),
    ...features(
      { lineWidth: { usual: { top: 0, right: 0, bottom: 1, left: 0 } }, lineStyle: solid },
      { part: 'time-row', as: 'row', label: 'Rules' },
    ),
  ],
  fields: [
    {
      at: 'items',
      as: 'list',
      label: 'Times',
      entry: 'time',
      fields: [
        { at: 'when', as: 'line', label: 'When', longest: 80 },
        { at: 'what', as: 'line', label: 'What', longest: 200 },
        { at: 'more', as: 'line', label: 'More', longest: 300 },
      ],
      fresh: { when: 'Sunday', what: 'closed', more: '' },
      least: 1,
      most: 60,
    },
  ],
  fresh: {
    items: [
      { when: 'Tuesday to Friday', what: '9 to 18', more: '' },
      { when: 'Saturday', what: '10 to 14', more: 'or by appointment' },
    ],
  },
  css: `
.timetable { width: 100%; margin: 0; }
.time-row { display: grid; grid-template-columns: minmax(7rem, 1fr) 2fr auto; gap: 0.25rem 1.5rem; align-items: baseline; padding: 0.8rem 0; }
.time-when { margin: 0; font-variant-numeric: tabular-nums; }
.time-what, .time-more { margin: 0; }
@media (max-width: 560px) { .time-row { grid-template-columns: minmax(0, 1fr); } }`,
  html: ({ items }, { root, words }) =>
    tag(
      'dl',
      root,
      items
        .map(({ when, what, more }, i) =>
          tag(
            'div',
            { class: 'time-row' },
            tag('dt', { class: 'time-when', ...words('items', i, 'when') }, escapeHtml(when)) +
              tag('dd', { class: 'time-what', ...words('items', i, 'what') }, escapeHtml(what)) +
              (more
                ? tag('dd', { class: 'time-more', ...words('items', i, 'more') }, escapeHtml(more))
                : ''),
          ),
        )
        .join(''),
    ),
  samples: () => [
    { content: { items: [{ when: '10 to 12', what: 'What is on', more: 'and what to bring' }] } },
  ],
  title: ({ items }) => items.map(({ when }) => when).join(', ') || 'no time',
})
