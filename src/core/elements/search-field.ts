import * as z from 'zod'
import { asText, features, fieldSources, moving } from './feature'
import { defineKind } from './kind'
import { escapeHtml, tag } from './markup'
import { focusFacet } from './runs'

export const searchField = defineKind({
  kind: 'searchField',
  label: 'Search field',
  content: z.strictObject({
    label: z.string().max(80),
    hint: z.string().max(120),
    button: z.string().max(40),
  }),
  facets: [
    { key: 'fill', label: 'Field ground', paints: 'fill', part: 'search-box', role: 'fieldGround' },
    {
      key: 'text',
      label: 'Typed text',
      paints: 'text',
      part: 'search-box',
      role: 'fieldText',
      on: 'fill',
    },
    {
      key: 'hint',
      label: 'Hint',
      paints: 'text',
      part: 'search-box',
      pseudo: '::placeholder',
      role: 'fieldHint',
      on: 'fill',
    },
    { key: 'line', label: 'Field border', paints: 'line', part: 'search-box', role: 'fieldLine' },
    {
      key: 'button',
      label: 'Button',
      paints: 'fill',
      part: 'search-button',
      role: 'buttonFill',
      hover: 'buttonHoverFill',
    },
    {
      key: 'label',
      label: 'Button label',
      paints: 'text',
      part: 'search-button',
      role: 'buttonLabel',
      hover: 'buttonHoverLabel',
      on: 'button',
    },
    { ...focusFacet, part: 'search-box' },
    {
      ...focusFacet,
      key: 'buttonFocus',
      label: 'Button, focus ring',
      part: 'search-button',
    },
  ],
  features: [
    ...features(fieldSources, { part: 'search-box', as: 'field', label: 'Field' }),
    ...features(
      {
        corner: { setting: 'buttonCorner' },
        ...asText({
          face: { usual: 'interactive' },
          size: { usual: { px: 16 } },
          weight: { setting: 'interactiveWeight' },
          spacing: { setting: 'buttonSpacing' },
          case: { setting: 'buttonCase' },
        }),
        ...moving,
      },
      { part: 'search-button', as: 'button', label: 'Button' },
    ),
  ],
  fields: [
    { at: 'label', as: 'line', label: 'Label', longest: 80 },
    { at: 'hint', as: 'line', label: 'Hint', longest: 120 },
    { at: 'button', as: 'line', label: 'Button', longest: 40 },
  ],
  fresh: { label: 'Search', hint: 'What are you looking for?', button: 'Find' },
  css: `
.search-field { display: flex; gap: 0.5rem; width: 100%; max-width: 34rem; margin: 0; }
.search-box { flex: 1; min-width: 0; }
.search-box::placeholder { opacity: 1; }
.search-button { padding: 0.7rem 1.1rem; border: 0; cursor: pointer; }`,
  html: ({ label, hint, button }, { root, words }) =>
    tag(
      'form',
      { ...root, role: 'search' },
      tag('input', {
        class: 'search-box',
        type: 'search',
        'aria-label': label,
        placeholder: hint,
      }) +
        tag(
          'button',
          { class: 'search-button', type: 'submit', ...words('button') },
          escapeHtml(button),
        ),
    ),
  samples: () => [{ content: { label: 'Search', hint: 'Any word …', button: 'Find' } }],
  title: ({ label }) => label,
})
