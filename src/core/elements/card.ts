import * as z from 'zod'
import { defineKind } from './kind'
import { tag } from './markup'

export const card = defineKind({
  kind: 'card',
  label: 'Card',
  content: z.strictObject({}),
  holds: true,
  facets: [
    { key: 'fill', label: 'Fill', paints: 'fill', role: 'surface' },
    { key: 'line', label: 'Border', paints: 'line', role: 'line' },
  ],
  fresh: {},
  css: `
.card { display: flex; flex-direction: column; gap: 0.65rem; padding: 1.4rem; border: var(--card-line) solid; border-radius: var(--card-radius); }
.card > .picture:first-child { margin: -1.4rem -1.4rem 0.5rem; }
.card > .picture:first-child img { border-radius: calc(var(--card-radius) - 1px) calc(var(--card-radius) - 1px) 0 0; }`,
  html: (_content, { root, children }) => tag('div', root, children),
  samples: () => [
    {
      content: {},
      holds: [
        { kind: 'heading', content: { runs: [{ text: 'On a card' }], level: 3 } },
        {
          kind: 'paragraph',
          content: { runs: [{ text: 'Words and ' }, { text: 'a link', href: '#' }] },
        },
        { kind: 'quietButton', content: { label: 'Reserve' } },
      ],
    },
  ],
  title: () => 'card',
})
