import * as z from 'zod'
import { asBox, features, solid } from './feature'
import { borderFacets, defineKind } from './kind'
import { tag } from './markup'

export const card = defineKind({
  kind: 'card',
  label: 'Card',
  content: z.strictObject({}),
  holds: true,
  facets: [
    { key: 'fill', label: 'Fill', paints: 'fill', role: 'surface' },
    ...borderFacets('line'),
  ],
  features: features(
    asBox({
      corner: { setting: 'cardCorner' },
      lineWidth: { setting: 'cardLine' },
      lineStyle: solid,
      padding: { setting: 'cardPad' },
    }),
  ),
  fresh: {},
  css: `
.card { display: flex; flex-direction: column; gap: calc(0.65rem * var(--density)); }
.card { --pad-y: var(--card-pad-y); --pad-x: var(--card-pad-x); }
.card > .picture:first-child { margin: calc(var(--pad-y) * -1) calc(var(--pad-x) * -1) 0.5rem; }
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
        { kind: 'quietButton', content: { label: 'Find out more' } },
      ],
    },
  ],
  title: () => 'card',
})
