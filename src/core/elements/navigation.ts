import * as z from 'zod'
import { linkEntries } from './field'
import { asText, features, moving } from './feature'
import { defineKind, type Surroundings } from './kind'
import { escapeHtml, safeHref, tag } from './markup'

/** What people who hear a page are told that links are: one list among several needs a name of its own. */
function nameOf({ kind, name, before }: Surroundings['within']): string {
  const words = {
    header: 'Main navigation',
    band: `Links in ${name}`,
    footer: 'Links at the foot of the page',
  }
  const count = before()
  return count > 0 ? `${words[kind]}, ${count + 1}` : words[kind]
}

export const navigation = defineKind({
  kind: 'navigation',
  label: 'Navigation',
  content: z.strictObject({
    items: z
      .array(z.strictObject({ label: z.string().max(80), href: z.string().max(500) }))
      .max(20),
    upright: z.boolean().optional(),
  }),
  facets: [
    {
      key: 'link',
      label: 'Links',
      paints: 'text',
      part: 'navigation-link',
      role: 'text',
      hover: 'linkHover',
    },
    {
      key: 'line',
      label: 'Mark of this page',
      paints: 'line',
      part: 'navigation-link',
      role: 'accent',
    },
  ],
  features: features(
    {
      ...asText({ face: { usual: 'interactive' } }),
      underline: { usual: { line: 'none' } },
      ...moving,
    },
    { part: 'navigation-link', as: 'link', label: 'Links' },
  ),
  fields: [linkEntries(20), { at: 'upright', as: 'tick', label: 'One below the other' }],
  fresh: { items: [{ label: 'A link', href: '#' }] },
  css: `
.navigation { display: flex; flex-wrap: wrap; gap: 0.35rem 1.75rem; }
.navigation.upright { flex-direction: column; }
.navigation-link { border-bottom: 0 solid; padding: 0.25rem 0 0.15rem; width: fit-content; }
.navigation-link[aria-current] { border-bottom-width: 2px; }
.navigation.upright .navigation-link[aria-current] { border-bottom-width: 0; }`,
  html: ({ items, upright }, { root, within, link, isCurrent, words }) =>
    tag(
      'nav',
      {
        ...root,
        class: upright ? `${root.class} upright` : root.class,
        'aria-label': nameOf(within),
      },
      items
        .map(({ label, href }, i) =>
          tag(
            'a',
            {
              class: 'navigation-link',
              href: safeHref(link(href)),
              'aria-current': isCurrent(href) ? 'page' : undefined,
              ...words('items', i, 'label'),
            },
            escapeHtml(label),
          ),
        )
        .join(''),
    ),
  samples: () => [
    {
      content: {
        items: [
          { label: 'First page', href: '#' },
          { label: 'Second page', href: '#' },
        ],
      },
    },
  ],
  title: ({ items }) => items.map((item) => item.label).join(', '),
})
