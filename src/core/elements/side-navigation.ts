import * as z from 'zod'
import { linkEntries } from './field'
import { defineKind } from './kind'
import { escapeHtml, safeHref, tag } from './markup'
import { longestHref } from './runs'

export const sideNavigation = defineKind({
  kind: 'sideNavigation',
  label: 'Side navigation',
  content: z.strictObject({
    title: z.string().max(80),
    items: z
      .array(z.strictObject({ label: z.string().max(80), href: z.string().max(longestHref) }))
      .max(40),
  }),
  facets: [
    { key: 'title', label: 'Title', paints: 'text', part: 'side-title', role: 'mutedText' },
    {
      key: 'link',
      label: 'Links',
      paints: 'text',
      part: 'side-link',
      role: 'text',
      hover: 'linkHover',
    },
    { key: 'line', label: 'Rule', paints: 'line', part: 'side-link', role: 'line' },
    { key: 'here', label: 'This page, ground', paints: 'fill', part: 'side-here', role: 'surface' },
    {
      key: 'hereText',
      label: 'This page, words',
      paints: 'text',
      part: 'side-here',
      role: 'heading',
      on: 'here',
    },
  ],
  fields: [{ at: 'title', as: 'line', label: 'Title', longest: 80 }, linkEntries(40)],
  fresh: {
    title: 'In this part',
    items: [
      { label: 'A first', href: '#' },
      { label: 'A second', href: '#' },
    ],
  },
  css: `
.side-navigation { display: grid; gap: 0; width: 100%; max-width: 18rem; }
.side-title { margin: 0 0 0.5rem; font-size: 0.8125rem; font-weight: 650; }
.side-link, .side-here { display: block; padding: 0.55rem 0.8rem; border-left: 2px solid; text-decoration: none; }
.side-here { border-left-color: currentcolor; font-weight: 650; }`,
  html: ({ title, items }, { root, words, link, isCurrent }) =>
    tag(
      'nav',
      { ...root, 'aria-label': title || items[0]?.label },
      tag('p', { class: 'side-title', ...words('title') }, escapeHtml(title)) +
        items
          .map(({ label, href }, i) =>
            tag(
              'a',
              {
                class: isCurrent(href) ? 'side-here' : 'side-link',
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
        title: 'Papers',
        items: [
          { label: 'Marbled', href: sampleHere },
          { label: 'Plain', href: '#' },
        ],
      },
    },
  ],
  title: ({ title, items }) => title || items.map(({ label }) => label).join(', ') || 'no link',
})

/** The page that samples stand on. */
const sampleHere = 'page:specimen'
