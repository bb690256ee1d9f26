import * as z from 'zod'
import { iconHtml } from './icon-mark'
import { asText, features } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

export const iconList = defineKind({
  kind: 'iconList',
  label: 'Icon list',
  content: z.strictObject({
    items: z.array(z.strictObject({ icon: z.string().max(20), text: z.string().max(300) })).max(30),
  }),
  facets: [
    { key: 'icon', label: 'Icons', paints: 'text', part: 'icon', role: 'accent' },
    { key: 'text', label: 'Text', paints: 'text', role: 'text' },
  ],
  features: features({ ...asText(), opacity: null }),
  fields: [
    {
      at: 'items',
      as: 'list',
      label: 'Entries',
      entry: 'entry',
      fields: [
        { at: 'icon', as: 'icon', label: 'Icon' },
        { at: 'text', as: 'line', label: 'Words', longest: 300 },
      ],
      fresh: { icon: 'tick', text: 'One more thing' },
      least: 1,
      most: 30,
    },
  ],
  fresh: {
    items: [
      { icon: 'tick', text: 'A first thing' },
      { icon: 'tick', text: 'A second thing' },
    ],
  },
  css: `
.icon-list { display: grid; gap: 0.85rem; margin: 0; padding: 0; list-style: none; }
.icon-list li { display: flex; gap: 0.75rem; align-items: flex-start; }
.icon { flex: none; width: 1.5rem; height: 1.5rem; }`,
  html: ({ items }, { root, words }) =>
    tag(
      'ul',
      root,
      items
        .map(({ icon, text }, i) =>
          tag('li', {}, iconHtml(icon) + tag('span', words('items', i, 'text'), escapeHtml(text))),
        )
        .join(''),
    ),
  samples: () => [
    {
      content: {
        items: [
          { icon: 'leaf', text: 'One good thing' },
          { icon: 'needle', text: 'Another good thing' },
        ],
      },
    },
  ],
  title: ({ items }) => items[0]?.text ?? 'empty list',
})
