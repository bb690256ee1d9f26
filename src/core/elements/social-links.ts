import * as z from 'zod'
import { iconHtml } from './icon-mark'
import { asText, features, moving, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, safeHref, tag } from './markup'
import { longestHref } from './runs'

export const socialLinks = defineKind({
  kind: 'socialLinks',
  label: 'Social links',
  content: z.strictObject({
    items: z
      .array(
        z.strictObject({
          icon: z.string().max(20),
          label: z.string().max(80),
          href: z.string().max(longestHref),
        }),
      )
      .max(12),
  }),
  facets: [
    {
      key: 'link',
      label: 'Links',
      paints: 'text',
      part: 'social-link',
      role: 'link',
      hover: 'linkHover',
    },
    { key: 'line', label: 'Rings', paints: 'line', part: 'social-link', role: 'line' },
  ],
  features: features(
    {
      corner: { usual: 999 },
      lineWidth: { usual: 1 },
      lineStyle: solid,
      ...asText({ face: { usual: 'interactive' }, size: { usual: { px: 15 } } }),
      underline: { usual: { line: 'none' } },
      ...moving,
    },
    { part: 'social-link', as: 'link', label: 'Links' },
  ),
  fields: [
    {
      at: 'items',
      as: 'list',
      label: 'Links',
      entry: 'link',
      fields: [
        { at: 'icon', as: 'icon', label: 'Icon' },
        { at: 'label', as: 'line', label: 'Words', longest: 80 },
        { at: 'href', as: 'link', label: 'Leads to' },
      ],
      fresh: { icon: 'globe', label: 'Elsewhere', href: '#' },
      least: 1,
      most: 12,
    },
  ],
  fresh: {
    items: [
      { icon: 'camera', label: 'Pictures', href: '#' },
      { icon: 'talk', label: 'Talk with us', href: '#' },
      { icon: 'mail', label: 'Mail', href: '#' },
    ],
  },
  css: `
.social-links { display: flex; flex-wrap: wrap; gap: 0.6rem; margin: 0; padding: 0; list-style: none; }
.social-link { display: inline-flex; align-items: center; gap: 0.5rem; padding: 0.45rem 0.9rem 0.45rem 0.7rem; }
.social-link .icon { width: 1.15rem; height: 1.15rem; }`,
  html: ({ items }, { root, words, link }) =>
    tag(
      'ul',
      root,
      items
        .map(({ icon, label, href }, i) =>
          tag(
            'li',
            {},
            tag(
              'a',
              { class: 'social-link', href: safeHref(link(href)) },
              iconHtml(icon) + tag('span', words('items', i, 'label'), escapeHtml(label)),
            ),
          ),
        )
        .join(''),
    ),
  samples: () => [{ content: { items: [{ icon: 'camera', label: 'Pictures', href: '#' }] } }],
  title: ({ items }) => items.map(({ label }) => label).join(', ') || 'no link',
})
