import * as z from 'zod'
import { asText, features, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

const cell = z.string().max(200)

export const priceTable = defineKind({
  kind: 'priceTable',
  label: 'Price table',
  content: z.strictObject({
    head: z.array(cell).min(1).max(6),
    rows: z.array(z.array(cell).min(1).max(6)).max(60),
  }),
  facets: [
    { key: 'head', label: 'Head', paints: 'text', part: 'price-head', role: 'mutedText' },
    { key: 'text', label: 'Text', paints: 'text', part: 'price-cell', role: 'text' },
    {
      key: 'price',
      label: 'Prices',
      paints: 'text',
      part: 'price-amount',
      role: 'heading',
      takesGradient: true,
    },
    { key: 'line', label: 'Rules', paints: 'line', part: 'price-row', role: 'line' },
  ],
  features: [
    ...features(asText({ size: { usual: { px: 14 } }, weight: { usual: 600 } }), {
      part: 'price-head',
      as: 'head',
      label: 'Head',
    }),
    ...features(asText(), { part: 'price-cell', as: 'cell', label: 'Text' }),
    ...features(asText({ weight: { usual: 650 } }), {
      part: 'price-amount',
      as: 'price',
      label: 'Prices',
    }),
    ...features(
      { lineWidth: { usual: { top: 0, right: 0, bottom: 1, left: 0 } }, lineStyle: solid },
      { part: 'price-row', as: 'row', label: 'Rules' },
    ),
  ],
  fields: [
    {
      at: 'rows',
      as: 'table',
      label: 'Rows',
      head: 'head',
      mostRows: 60,
      mostColumns: 6,
    },
  ],
  fresh: {
    head: ['What', 'Price'],
    rows: [
      ['A small one', '20'],
      ['A large one', '35'],
    ],
  },
  css: `
.price-table { width: 100%; border-collapse: collapse; }
.price-table th { text-align: left; padding: 0 1rem 0.6rem 0; }
.price-table td { padding: 0.85rem 1rem 0.85rem 0; vertical-align: baseline; }
.price-table :is(th, td):last-child { text-align: right; padding-right: 0; }
.price-amount { font-variant-numeric: tabular-nums; white-space: nowrap; }`,
  html: ({ head, rows }, { root, words }) => {
    const last = head.length - 1
    const headRow = head
      .map((text, i) =>
        tag('th', { class: 'price-head', scope: 'col', ...words('head', i) }, escapeHtml(text)),
      )
      .join('')
    const body = rows.map((row, y) =>
      tag(
        'tr',
        { class: 'price-row' },
        row
          .map((text, i) =>
            tag(
              'td',
              { class: i === last ? 'price-amount' : 'price-cell', ...words('rows', y, i) },
              escapeHtml(text),
            ),
          )
          .join(''),
      ),
    )
    return tag(
      'table',
      root,
      tag('thead', {}, tag('tr', { class: 'price-row' }, headRow)) +
        tag('tbody', {}, body.join('')),
    )
  },
  samples: () => [{ content: { head: ['Day', 'Price'], rows: [['Saturday', '85']] } }],
  title: ({ head }) => head.join(', '),
})
