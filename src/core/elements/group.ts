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
.group { display: flex; flex-direction: column; gap: 1.1rem; min-width: 0; }
.group.row { flex-direction: row; flex-wrap: wrap; align-items: center; gap: 0.75rem 1rem; }
.group.grid { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(16rem, 100%), 1fr)); gap: 1.25rem; width: 100%; }`,
  html: ({ arrange }, { root, children }) =>
    tag('div', { ...root, class: `${root.class} ${arrange}` }, children),
  samples: () => [],
  title: ({ arrange }) => arrange,
})
