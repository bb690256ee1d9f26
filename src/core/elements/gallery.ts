import * as z from 'zod'
import { asText, features } from './feature'
import { defineKind } from './kind'
import { image } from './image'
import { escapeHtml, tag } from './markup'

export const gallery = defineKind({
  kind: 'gallery',
  label: 'Gallery',
  content: z.strictObject({
    items: z
      .array(z.strictObject({ asset: z.string().max(60), caption: z.string().max(200) }))
      .max(60),
    across: z.union([z.literal(2), z.literal(3), z.literal(4)]),
  }),
  facets: [
    {
      key: 'caption',
      label: 'Captions',
      paints: 'text',
      part: 'gallery-caption',
      role: 'mutedText',
    },
  ],
  features: features(asText({ size: { usual: { px: 14 } } }), {
    part: 'gallery-caption',
    as: 'caption',
    label: 'Captions',
  }),
  fields: [
    {
      at: 'across',
      as: 'choice',
      label: 'Across',
      options: [
        [2, '2'],
        [3, '3'],
        [4, '4'],
      ],
    },
    {
      at: 'items',
      as: 'list',
      label: 'Pictures',
      entry: 'picture',
      fields: [
        { at: 'asset', as: 'picture', label: 'Picture' },
        { at: 'caption', as: 'line', label: 'Caption', longest: 200 },
      ],
      fresh: { asset: '', caption: '' },
      least: 1,
      most: 60,
    },
  ],
  fresh: {
    items: [
      { asset: '', caption: 'A first' },
      { asset: '', caption: 'A second' },
      { asset: '', caption: 'A third' },
    ],
    across: 3,
  },
  css: `
.gallery { display: grid; grid-template-columns: repeat(var(--across), minmax(0, 1fr)); gap: 1rem; width: 100%; }
.gallery.across-2 { --across: 2; }
.gallery.across-3 { --across: 3; }
.gallery.across-4 { --across: 4; }
.gallery figure { margin: 0; }
.gallery img, .picture-gap { display: block; width: 100%; height: auto; aspect-ratio: 4/3; object-fit: cover; border-radius: var(--picture-radius); }
.picture-gap { max-height: 15rem; border: 1px dashed currentcolor; opacity: 0.35; }
.gallery-caption { margin-top: 0.5rem; }
@media (max-width: 640px) { .gallery { --across: 2 !important; } }`,
  html({ items, across }, around) {
    const { root, asset, words } = around
    return tag(
      'div',
      { ...root, class: `${root.class} across-${across}` },
      items
        .map(({ asset: id, caption }, i) => {
          const found = asset(id)
          const shown = found
            ? image(found, around, { across })
            : tag('span', { class: 'picture-gap' })
          const under = caption
            ? tag(
                'figcaption',
                { class: 'gallery-caption', ...words('items', i, 'caption') },
                escapeHtml(caption),
              )
            : ''
          return tag('figure', {}, shown + under)
        })
        .join(''),
    )
  },
  samples: () => [
    { content: { items: [{ asset: '', caption: 'Under a picture' }], across: 3 as const } },
  ],
  title: ({ items }) => items.find(({ caption }) => caption)?.caption ?? `${items.length} pictures`,
})
