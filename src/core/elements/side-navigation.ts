import * as z from 'zod'
import { linkEntries } from './field'
import { asText, features, moving } from './feature'
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
  features: [
    ...features(asText({ size: { usual: { px: 13 } }, weight: { usual: 650 } }), {
      part: 'side-title',
      as: 'title',
      label: 'Title',
    }),
    ...features(
      {
        ...asText({ face: { usual: 'interactive' } }),
        underline: { usual: { line: 'none' } },
        ...moving,
      },
      { part: 'side-link', as: 'link', label: 'Links' },
    ),
    ...features(
      {
        ...asText({ face: { usual: 'interactive' }, weight: { usual: 650 } }),
        underline: { usual: { line: 'none' } },
      },
      { part: 'side-here', as: 'here', label: 'This page' },
    ),
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
.side-title { margin: 0 0 0.5rem; }
.side-link, .side-here { display: block; padding: 0.55rem 0.8rem; border-left: 2px solid; }
.side-here { border-left-color: currentcolor; }`,
  html: ({ title, items }, { root, words, link, isCurrent }) =>
    tag(
      'nav',
      { ...root, 'aria-label': title || 'More pages' },
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
        title: 'On this site',
        items: [
          { label: 'This page', href: sampleHere },
          { label: 'Another page', href: '#' },
        ],
      },
    },
  ],
  title: ({ title, items }) => title || items.map(({ label }) => label).join(', ') || 'no link',
})

/** The page that samples stand on. */
const sampleHere = 'page:specimen'
