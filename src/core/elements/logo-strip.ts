import * as z from 'zod'
import { asHeading, features, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

export const logoStrip = defineKind({
  kind: 'logoStrip',
  label: 'Logo strip',
  content: z.strictObject({
    items: z.array(z.strictObject({ name: z.string().max(80), asset: z.string().max(60) })).max(24),
  }),
  facets: [
    { key: 'text', label: 'Names', paints: 'text', part: 'strip-name', role: 'mutedText' },
    { key: 'line', label: 'Rules', paints: 'line', role: 'line' },
  ],
  features: [
    ...features({
      lineWidth: { usual: { top: 1, right: 0, bottom: 1, left: 0 } },
      lineStyle: solid,
      padding: { usual: { block: 20, inline: 0 } },
      opacity: null,
    }),
    ...features(
      asHeading({
        size: { usual: { px: 18 } },
        weight: { setting: 'bodyWeight' },
        spacing: { usual: 0.01 },
      }),
      { part: 'strip-name', as: 'name', label: 'Names' },
    ),
  ],
  fields: [
    {
      at: 'items',
      as: 'list',
      label: 'Names',
      entry: 'name',
      fields: [
        { at: 'name', as: 'line', label: 'Name', longest: 80 },
        { at: 'asset', as: 'picture', label: 'Logo', mayGo: true },
      ],
      fresh: { name: 'Another', asset: '' },
      least: 1,
      most: 24,
    },
  ],
  fresh: {
    items: [
      { name: 'First & Daughters', asset: '' },
      { name: 'Harbour Guild', asset: '' },
      { name: 'The Third', asset: '' },
      { name: 'Fourth Street', asset: '' },
    ],
  },
  css: `
.logo-strip { display: flex; flex-wrap: wrap; align-items: center; justify-content: space-between; gap: 1rem 2.5rem; width: 100%; margin: 0; list-style: none; }
.logo-strip img { display: block; height: 2rem; width: auto; }`,
  html: ({ items }, { root, asset, words }) =>
    tag(
      'ul',
      root,
      items
        .map(({ name, asset: id }, i) => {
          const found = id ? asset(id) : undefined
          return tag(
            'li',
            {},
            found
              ? tag('img', { src: found.url, alt: name, width: found.width, height: found.height })
              : tag(
                  'span',
                  { class: 'strip-name', ...words('items', i, 'name') },
                  escapeHtml(name),
                ),
          )
        })
        .join(''),
    ),
  samples: () => [{ content: { items: [{ name: 'A partner', asset: '' }] } }],
  title: ({ items }) => items.map(({ name }) => name).join(', ') || 'no name',
})
