import * as z from 'zod'
import { asHeading, features } from './feature'
import { defineKind } from './kind'
import { escapeHtml, safeHref, tag } from './markup'

export const wordmark = defineKind({
  kind: 'wordmark',
  label: 'Wordmark',
  content: z.strictObject({
    name: z.string().max(120),
    asset: z.string().max(60).optional(),
    href: z.string().max(500),
  }),
  facets: [{ key: 'text', label: 'Text', paints: 'text', role: 'heading', takesGradient: true }],
  features: features({
    ...asHeading({
      size: { usual: { px: 21 } },
      weight: { usual: 650 },
      spacing: { usual: -0.01 },
    }),
    underline: { usual: { line: 'none' } },
  }),
  fields: [
    { at: 'asset', as: 'picture', label: 'Logo', mayGo: true },
    { at: 'href', as: 'link', label: 'Leads to' },
  ],
  css: `
.wordmark { display: inline-flex; align-items: center; gap: 0.6rem; white-space: nowrap; }
.wordmark img { display: block; height: 2rem; width: auto; }`,
  html: ({ name, asset: id, href }, { root, asset, link, words }) => {
    const found = id ? asset(id) : undefined
    const image = found
      ? // Where no name stands beside it, the picture names the link.
        tag('img', {
          src: found.url,
          alt: name.trim() ? '' : found.alt,
          width: found.width,
          height: found.height,
        })
      : ''
    return tag(
      'a',
      { ...root, href: safeHref(link(href)) },
      image + tag('span', words('name'), escapeHtml(name)),
    )
  },
  samples: () => [{ content: { name: 'Your name here', href: '#' } }],
  title: ({ name }) => name,
})
