import * as z from 'zod'
import { asHeading, asText, features, solid } from './feature'
import { defineKind } from './kind'
import { escapeHtml, safeHref, tag } from './markup'
import { longestHref } from './runs'

export const articleList = defineKind({
  kind: 'articleList',
  label: 'Article list',
  content: z.strictObject({
    items: z
      .array(
        z.strictObject({
          title: z.string().max(200),
          text: z.string().max(400),
          when: z.string().max(60),
          href: z.string().max(longestHref),
        }),
      )
      .max(60),
  }),
  facets: [
    {
      key: 'title',
      label: 'Titles',
      paints: 'text',
      part: 'article-title',
      role: 'heading',
      hover: 'linkHover',
    },
    { key: 'text', label: 'Words', paints: 'text', part: 'article-text', role: 'text' },
    { key: 'when', label: 'Dates', paints: 'text', part: 'article-when', role: 'mutedText' },
    { key: 'line', label: 'Rules', paints: 'line', part: 'article-row', role: 'line' },
  ],
  features: [
    ...features(
      {
        ...asHeading({ size: { usual: { px: 20 } }, leading: { usual: 1.25 } }),
        underline: { usual: { line: 'none' } },
      },
      { part: 'article-title', as: 'title', label: 'Titles' },
    ),
    ...features(
      { ...asText(), measure: { setting: 'measure' } },
      { part: 'article-text', as: 'text', label: 'Words' },
    ),
    ...features(asText({ size: { usual: { px: 14 } } }), {
      part: 'article-when',
      as: 'when',
      label: 'Dates',
    }),
    ...features(
      { lineWidth: { usual: { top: 0, right: 0, bottom: 1, left: 0 } }, lineStyle: solid },
      { part: 'article-row', as: 'row', label: 'Rules' },
    ),
  ],
  fields: [
    {
      at: 'items',
      as: 'list',
      label: 'Articles',
      entry: 'article',
      fields: [
        { at: 'title', as: 'line', label: 'Title', longest: 200 },
        { at: 'text', as: 'line', label: 'Words', longest: 400 },
        { at: 'when', as: 'line', label: 'When', longest: 60 },
        { at: 'href', as: 'link', label: 'Leads to' },
      ],
      fresh: { title: 'A title', text: 'A sentence about it.', when: 'today', href: '#' },
      least: 1,
      most: 60,
    },
  ],
  fresh: {
    items: [
      { title: 'A first article', text: 'A sentence about it.', when: 'this month', href: '#' },
      { title: 'A second one', text: 'A sentence about it.', when: 'last month', href: '#' },
    ],
  },
  css: `
.article-list { width: 100%; margin: 0; padding: 0; list-style: none; }
.article-row { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 0.2rem 2rem; padding: 1.25rem 0; }
.article-title { width: fit-content; }
.article-text { grid-column: 1; margin: 0; }
.article-when { grid-row: 1; grid-column: 2; margin: 0; padding-top: 0.25rem; }
@media (max-width: 560px) { .article-row { grid-template-columns: minmax(0, 1fr); } .article-when { grid-row: auto; grid-column: 1; } }`,
  html: ({ items }, { root, words, link }) =>
    tag(
      'ul',
      root,
      items
        .map(({ title, text, when, href }, i) =>
          tag(
            'li',
            { class: 'article-row' },
            tag(
              'a',
              {
                class: 'article-title',
                href: safeHref(link(href)),
                ...words('items', i, 'title'),
              },
              escapeHtml(title),
            ) +
              tag('p', { class: 'article-text', ...words('items', i, 'text') }, escapeHtml(text)) +
              tag('p', { class: 'article-when', ...words('items', i, 'when') }, escapeHtml(when)),
          ),
        )
        .join(''),
    ),
  samples: () => [
    {
      content: {
        items: [{ title: 'A note', text: 'Its first sentence.', when: 'May', href: '#' }],
      },
    },
  ],
  title: ({ items }) => items[0]?.title ?? 'no article',
})
