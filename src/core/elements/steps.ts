import * as z from 'zod'
import { asText, features } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'

export const steps = defineKind({
  kind: 'steps',
  label: 'Steps',
  content: z.strictObject({
    items: z
      .array(z.strictObject({ title: z.string().max(160), text: z.string().max(1000) }))
      .max(20),
    upright: z.boolean().optional(),
  }),
  facets: [
    {
      key: 'fill',
      label: 'Number ground',
      paints: 'fill',
      part: 'step-number',
      role: 'buttonFill',
    },
    {
      key: 'number',
      label: 'Numbers',
      paints: 'text',
      part: 'step-number',
      role: 'buttonLabel',
      on: 'fill',
    },
    { key: 'title', label: 'Titles', paints: 'text', part: 'step-title', role: 'heading' },
    { key: 'text', label: 'Words', paints: 'text', part: 'step-text', role: 'text' },
  ],
  features: [
    ...features(
      { corner: { setting: 'buttonCorner' }, ...asText({ weight: { usual: 650 } }) },
      { part: 'step-number', as: 'number', label: 'Numbers' },
    ),
    ...features(asText({ weight: { usual: 650 } }), {
      part: 'step-title',
      as: 'title',
      label: 'Titles',
    }),
    ...features(asText(), { part: 'step-text', as: 'text', label: 'Words' }),
  ],
  fields: [
    {
      at: 'items',
      as: 'list',
      label: 'Steps',
      entry: 'step',
      fields: [
        { at: 'title', as: 'line', label: 'Title', longest: 160 },
        { at: 'text', as: 'line', label: 'Words', longest: 1000 },
      ],
      fresh: { title: 'And then', text: 'What happens next.' },
      least: 1,
      most: 20,
    },
    { at: 'upright', as: 'tick', label: 'One below the other' },
  ],
  fresh: {
    items: [
      { title: 'You write', text: 'Tell us what it is about.' },
      { title: 'We look', text: 'And say what it takes, and what it costs.' },
      { title: 'It is done', text: 'Come by and take it home.' },
    ],
  },
  css: `
.steps { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(13rem, 100%), 1fr)); gap: 1.75rem 2.5rem; width: 100%; margin: 0; padding: 0; list-style: none; }
.steps.upright { grid-template-columns: minmax(0, 1fr); gap: 1.5rem; }
.steps li { display: grid; grid-template-columns: auto minmax(0, 1fr); gap: 0.25rem 1rem; }
.step-number { grid-row: span 2; display: grid; place-items: center; width: 2.25rem; height: 2.25rem; font-variant-numeric: tabular-nums; }
.step-title { margin: 0; padding-top: 0.3rem; }
.step-text { margin: 0; }`,
  html: ({ items, upright }, { root, words }) =>
    tag(
      'ol',
      { ...root, class: upright ? `${root.class} upright` : root.class },
      items
        .map(({ title, text }, i) =>
          tag(
            'li',
            {},
            tag('span', { class: 'step-number', 'aria-hidden': 'true' }, String(i + 1)) +
              tag('p', { class: 'step-title', ...words('items', i, 'title') }, escapeHtml(title)) +
              tag('p', { class: 'step-text', ...words('items', i, 'text') }, escapeHtml(text)),
          ),
        )
        .join(''),
    ),
  samples: () => [{ content: { items: [{ title: 'First', text: 'What is done first.' }] } }],
  title: ({ items }) => items.map(({ title }) => title).join(', ') || 'no step',
})
