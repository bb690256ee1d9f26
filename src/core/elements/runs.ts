import * as z from 'zod'
import { features, moving, type Feature } from './feature'
import type { Facet, Surroundings } from './kind'
import { escapeHtml, safeHref, tag } from './markup'

/**
 * What a few words of a text can be coloured as: in a tint, or on a marker ground.
 * Each is a colour of the element like any other, with a role of the theme behind it.
 */
export const wordColors = ['tintA', 'tintB', 'tintC', 'markerA', 'markerB'] as const
export type WordColor = (typeof wordColors)[number]

/** Most characters (UTF-16 units) and stretches in one running text. */
export const mostWords = 20_000
export const mostRuns = 400
/** Longest target of a link. */
export const longestHref = 500

/** A stretch of plain words, some of it a link, strong, emphasised or coloured; `\n` breaks the line. */
export const runSchema = z.strictObject({
  text: z.string().max(mostWords),
  href: z.string().max(longestHref).optional(),
  strong: z.boolean().optional(),
  em: z.boolean().optional(),
  words: z.enum(wordColors).optional(),
})

/** Running text. */
export const runsSchema = z
  .array(runSchema)
  .max(mostRuns)
  .refine((runs) => plainText(runs).length <= mostWords, 'too long')

export type Run = z.infer<typeof runSchema>
export type Runs = readonly Run[]

const runsIn = ({ runs }: Readonly<Record<string, unknown>>): Runs => (runs ?? []) as Runs
const shows =
  (color: WordColor): NonNullable<Facet['shows']> =>
  (content) =>
    runsIn(content).some(({ words }) => words === color)

export const linkFacet: Facet = {
  key: 'link',
  label: 'Link',
  paints: 'text',
  part: 'link',
  role: 'link',
  hover: 'linkHover',
  common: 'link',
  shows: (content) => runsIn(content).some(({ href }) => href),
}

/** How links in running text look beside their colour. */
export const linkFeatures: readonly Feature[] = features(
  {
    weight: null,
    underline: { usual: { line: 'solid', thickness: 1, offset: 0.2 } },
    ...moving,
  },
  { part: 'link', as: 'link', label: 'Links', common: 'link' },
)

/** All that can be decided for links in running text, of the link itself. */
export const linkProperties = [linkFacet, ...linkFeatures].map(
  ({ part: _itself, ...property }) => property,
)

const tint = (key: WordColor, label: string, role: 'link' | 'mutedText' | 'heading'): Facet => ({
  key,
  label,
  paints: 'text',
  part: wordClass[key],
  role,
  shows: shows(key),
})

/** The ground of marked words, and the words on it. */
const marker = (
  key: WordColor,
  label: string,
  fill: 'buttonFill' | 'surface',
  words: 'buttonLabel' | 'heading',
): Facet[] => [
  { key, label, paints: 'fill', part: wordClass[key], role: fill, shows: shows(key) },
  {
    key: `${key}Words`,
    label: `${label}, words`,
    paints: 'text',
    part: wordClass[key],
    role: words,
    on: key,
    shows: shows(key),
  },
]

/** Classes of coloured words. */
export const wordClass: Readonly<Record<WordColor, string>> = {
  tintA: 'tint-a',
  tintB: 'tint-b',
  tintC: 'tint-c',
  markerA: 'marker-a',
  markerB: 'marker-b',
}

/** The colours of words in running text. Every pair among them is one that the roles keep readable. */
export const wordFacets: readonly Facet[] = [
  tint('tintA', 'Words in a tint', 'link'),
  tint('tintB', 'Words in a second tint', 'mutedText'),
  tint('tintC', 'Words in a third tint', 'heading'),
  ...marker('markerA', 'Marked words', 'buttonFill', 'buttonLabel'),
  ...marker('markerB', 'Softly marked words', 'surface', 'heading'),
]

/** Whether words coloured so lie on a ground of their own. */
export const isMarker = (color: WordColor): boolean => color.startsWith('marker')

export const focusFacet: Facet = {
  key: 'focus',
  label: 'Focus ring',
  paints: 'line',
  property: 'outline-color',
  role: 'focus',
}

/** Shape of what running text is made of, wherever it stands. */
export const runsCss = `
:is(.marker-a, .marker-b) { padding: 0.05em 0.3em; border-radius: 0.2em; box-decoration-break: clone; -webkit-box-decoration-break: clone; }`

function writeRun({ text, href, strong, em, words }: Run, { link }: Surroundings): string {
  const around: Array<(inner: string) => string> = []
  if (em) around.push((inner) => tag('em', {}, inner))
  if (strong) around.push((inner) => tag('strong', {}, inner))
  if (words) {
    around.push((inner) =>
      tag(isMarker(words) ? 'mark' : 'span', { class: wordClass[words] }, inner),
    )
  }
  if (href) {
    around.push((inner) => tag('a', { class: 'link', href: safeHref(link(href)) }, inner))
  }
  return around.reduce((inner, wrap) => wrap(inner), escapeHtml(text).replaceAll('\n', '<br>'))
}

export function writeRuns(runs: Runs, surroundings: Surroundings): string {
  return runs.map((run) => writeRun(run, surroundings)).join('')
}

export function plainText(runs: Runs): string {
  return runs.map((run) => run.text).join('')
}
