import * as z from 'zod'
import { defineKind } from './kind'
import { tag } from './markup'

export const group = defineKind({
  kind: 'group',
  label: 'Group',
  content: z.strictObject({ arrange: z.enum(['column', 'row', 'grid']) }),
  holds: true,
  facets: [],
  fields: [
    {
      at: 'arrange',
      as: 'choice',
      label: 'Arranged in',
      options: [
        ['column', 'Column'],
        ['row', 'Row'],
        ['grid', 'Grid'],
      ],
    },
  ],
  fresh: { arrange: 'row' },
  css: `
.group { display: flex; flex-direction: column; gap: calc(1.1rem * var(--density)); min-width: 0; }
.group.row { flex-direction: row; flex-wrap: wrap; align-items: center; gap: calc(0.75rem * var(--density)) calc(1rem * var(--density)); }
.group.grid { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(16rem, 100%), 1fr)); gap: calc(1.25rem * var(--density)); width: 100%; }`,
  html: ({ arrange }, { root, children }) =>
    tag('div', { ...root, class: `${root.class} ${arrange}` }, children),
  samples: () => [],
  title: ({ arrange }) => arrange,
})
