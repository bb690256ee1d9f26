import * as z from 'zod'
import { icons } from './icons'
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
          tag(
            'li',
            {},
            `<svg class="icon" viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="1.7" stroke-linecap="round" stroke-linejoin="round" aria-hidden="true"><path d="${icons[icon] ?? icons.tick}"/></svg>${tag('span', words('items', i, 'text'), escapeHtml(text))}`,
          ),
        )
        .join(''),
    ),
  samples: () => [
    {
      content: {
        items: [
          { icon: 'leaf', text: 'Paper from rags' },
          { icon: 'needle', text: 'Sewn by hand' },
        ],
      },
    },
  ],
  title: ({ items }) => items[0]?.text ?? 'empty list',
})
