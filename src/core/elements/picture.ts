import * as z from 'zod'
import { asText, features } from './feature'
import { defineKind } from './kind'
import { image } from './image'
import { escapeHtml, tag } from './markup'

export const picture = defineKind({
  kind: 'picture',
  label: 'Picture',
  content: z.strictObject({
    asset: z.string().max(60),
    caption: z.string().max(400).optional(),
    /** Width to height, such as `4/3`; the picture's own where absent. */
    ratio: z
      .string()
      .regex(/^\d{1,2}\/\d{1,2}$/)
      .optional(),
  }),
  facets: [
    {
      key: 'caption',
      label: 'Caption',
      paints: 'text',
      part: 'picture-caption',
      role: 'mutedText',
    },
  ],
  features: [
    ...features({ corner: { setting: 'pictureCorner' }, shadow: null, opacity: null }),
    ...features(asText({ size: { usual: { px: 14 } } }), {
      part: 'picture-caption',
      as: 'caption',
      label: 'Caption',
    }),
  ],
  fields: [
    { at: 'asset', as: 'picture', label: 'Picture' },
    {
      at: 'ratio',
      as: 'choice',
      label: 'Cut to',
      absent: '',
      options: [
        ['', 'Whole'],
        ['1/1', '1:1'],
        ['4/3', '4:3'],
        ['3/4', '3:4'],
        ['16/9', '16:9'],
      ],
    },
    { at: 'caption', as: 'line', label: 'Caption', longest: 400, mayGo: true },
  ],
  css: `
.picture { margin: 0; }
.picture img { display: block; width: 100%; height: auto; object-fit: cover; border-radius: inherit; }
.picture-caption { margin-top: 0.6rem; }`,
  html: ({ asset: id, caption, ratio }, around) => {
    const { root, asset, words: at } = around
    const found = asset(id)
    const shown = found
      ? image(found, around, { ratio })
      : tag('span', { class: 'picture-gap', style: ratio ? `aspect-ratio: ${ratio}` : undefined })
    const words = caption
      ? tag('figcaption', { class: 'picture-caption', ...at('caption') }, escapeHtml(caption))
      : ''
    return tag('figure', root, shown + words)
  },
  samples: () => [{ content: { asset: '', caption: 'Under a picture' } }],
  title: ({ caption, asset: id }) => caption ?? id,
})
