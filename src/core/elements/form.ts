import * as z from 'zod'
import { asText, features, fieldSources } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'
import { focusFacet } from './runs'

const field = z.strictObject({
  label: z.string().max(120),
  hint: z.string().max(200),
  type: z.enum(['text', 'email', 'long']),
})

function writeField(
  { label, hint, type }: z.infer<typeof field>,
  words: Record<string, string>,
): string {
  const shared = { class: 'field', placeholder: hint }
  const control =
    type === 'long' ? tag('textarea', { ...shared, rows: 4 }) : tag('input', { ...shared, type })
  return tag('label', { class: 'field-label' }, tag('span', words, escapeHtml(label)) + control)
}

export const form = defineKind({
  kind: 'form',
  label: 'Form',
  content: z.strictObject({ fields: z.array(field).max(20), inline: z.boolean().optional() }),
  holds: true,
  facets: [
    { key: 'label', label: 'Labels', paints: 'text', part: 'field-label', role: 'text' },
    { key: 'fill', label: 'Field ground', paints: 'fill', part: 'field', role: 'fieldGround' },
    {
      key: 'text',
      label: 'Typed text',
      paints: 'text',
      part: 'field',
      role: 'fieldText',
      on: 'fill',
    },
    {
      key: 'hint',
      label: 'Hint',
      paints: 'text',
      part: 'field',
      pseudo: '::placeholder',
      role: 'fieldHint',
      on: 'fill',
    },
    { key: 'line', label: 'Field border', paints: 'line', part: 'field', role: 'fieldLine' },
    { ...focusFacet, part: 'field' },
  ],
  features: [
    ...features(asText({ size: { usual: { px: 15 } }, weight: { usual: 600 } }), {
      part: 'field-label',
      as: 'label',
      label: 'Labels',
    }),
    ...features(fieldSources, { part: 'field', as: 'field', label: 'Fields' }),
  ],
  fields: [
    {
      at: 'fields',
      as: 'list',
      label: 'Fields',
      entry: 'field',
      fields: [
        { at: 'label', as: 'line', label: 'Label', longest: 120 },
        { at: 'hint', as: 'line', label: 'Hint', longest: 200 },
        {
          at: 'type',
          as: 'choice',
          label: 'Takes',
          options: [
            ['text', 'A line'],
            ['email', 'Mail'],
            ['long', 'Much'],
          ],
        },
      ],
      fresh: { label: 'New field', hint: '', type: 'text' },
      least: 1,
      most: 20,
    },
    { at: 'inline', as: 'tick', label: 'Button beside the field' },
  ],
  fresh: { fields: [{ label: 'Mail', hint: 'you@example.org', type: 'email' }] },
  css: `
.form { display: grid; gap: 1.1rem; max-width: 34rem; }
.form.inline { grid-template-columns: 1fr auto; align-items: end; }
.field-label { display: grid; gap: 0.4rem; }
.field { box-sizing: border-box; width: 100%; }
.field::placeholder { opacity: 1; }
@media (max-width: 560px) { .form.inline { grid-template-columns: 1fr; } }`,
  html: ({ fields, inline }, { root, children, words }) =>
    tag(
      'form',
      { ...root, class: inline ? `${root.class} inline` : root.class },
      fields.map((each, i) => writeField(each, words('fields', i, 'label'))).join('') + children,
    ),
  samples: () => [
    {
      content: {
        fields: [
          { label: 'Your name', hint: 'Mabel Orrin', type: 'text' as const },
          { label: 'Mail', hint: 'mabel@example.org', type: 'email' as const },
        ],
      },
    },
  ],
  title: ({ fields }) => fields.map((f) => f.label).join(', '),
})
