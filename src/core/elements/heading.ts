import * as z from 'zod'
import type { TraitId } from '../traits'
import { features, type ByBase, type Source } from './feature'
import { defineKind } from './kind'
import { tag } from './markup'
import { linkFacet, plainText, runsSchema, wordFacets, writeRuns } from './runs'

const byLevel = <T extends TraitId>(
  one: Source<T> | null,
  two: Source<T> | null,
  three: Source<T> | null,
): ByBase<T> => ({ byBase: { 'heading-1': one, 'heading-2': two, 'heading-3': three } })

export const heading = defineKind({
  kind: 'heading',
  label: 'Heading',
  content: z.strictObject({
    runs: runsSchema,
    level: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  }),
  facets: [
    { key: 'text', label: 'Text', paints: 'text', role: 'heading', takesGradient: true },
    linkFacet,
    ...wordFacets,
  ],
  bases: [
    { id: 'heading-1', label: 'Title', where: 'h1', by: 'level', is: ({ level }) => level === 1 },
    { id: 'heading-2', label: 'Heading', where: 'h2', by: 'level', is: ({ level }) => level === 2 },
    {
      id: 'heading-3',
      label: 'Small heading',
      where: 'h3',
      by: 'level',
      is: ({ level }) => level === 3,
    },
  ],
  features: features({
    face: byLevel<'face'>({ usual: 'title' }, { usual: 'heading' }, { usual: 'heading' }),
    size: byLevel<'size'>({ usual: { step: 5 } }, { usual: { step: 3 } }, { usual: { step: 1 } }),
    weight: byLevel<'weight'>(
      { setting: 'titleWeight' },
      { setting: 'headingWeight' },
      { setting: 'headingWeight' },
    ),
    leading: byLevel<'leading'>({ usual: 1.06 }, { usual: 1.14 }, { usual: 1.25 }),
    spacing: byLevel<'spacing'>({ usual: -0.018 }, { usual: -0.012 }, null),
    case: null,
    hyphens: null,
    underline: null,
    measure: null,
    opacity: null,
  }),
  fields: [
    {
      at: 'level',
      as: 'choice',
      label: 'Size',
      options: [
        [1, 'Title'],
        [2, 'Heading'],
        [3, 'Small'],
      ],
    },
  ],
  fresh: { runs: [{ text: 'A heading' }], level: 2 },
  css: `
.heading { text-wrap: balance; }`,
  html: ({ runs, level }, around) =>
    tag(`h${level}`, { ...around.root, ...around.words('runs') }, writeRuns(runs, around)),
  samples: (theme) => [{ content: { runs: [{ text: theme }], level: 2 as const } }],
  title: ({ runs }) => plainText(runs),
})
