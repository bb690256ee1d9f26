import * as z from 'zod'
import type { Facet, Surroundings } from './kind'
import { escapeHtml, safeHref, tag } from './markup'

/** Running text: stretches of plain words, some of them links or strong. */
export const runsSchema = z
  .array(
    z.strictObject({
      text: z.string().max(4000),
      href: z.string().max(500).optional(),
      strong: z.boolean().optional(),
    }),
  )
  .max(100)

export type Runs = z.infer<typeof runsSchema>

export const linkFacet: Facet = {
  key: 'link',
  label: 'Link',
  paints: 'text',
  part: 'link',
  role: 'link',
  hover: 'linkHover',
  shows: ({ runs }) => (runs as Runs).some(({ href }) => href),
}

export const focusFacet: Facet = {
  key: 'focus',
  label: 'Focus ring',
  paints: 'line',
  property: 'outline-color',
  role: 'focus',
}

export function writeRuns(runs: Runs, { link }: Surroundings): string {
  return runs
    .map(({ text, href, strong }) => {
      const words = strong ? tag('strong', {}, escapeHtml(text)) : escapeHtml(text)
      return href ? tag('a', { class: 'link', href: safeHref(link(href)) }, words) : words
    })
    .join('')
}

export function plainText(runs: Runs): string {
  return runs.map((run) => run.text).join('')
}
