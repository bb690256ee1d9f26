import { z } from 'zod'
import { kindOf } from '../elements'
import { facetsOf, traceFacet, type Spot, type Trace } from '../resolve'
import {
  canonicalJson,
  own,
  paint,
  sectionsInOrder,
  walkSection,
  type Body,
  type Frame,
  type Section,
  type SiteElement,
} from '../site'

/**
 * A page in small: its bands for the map, and its elements in groups that are
 * coloured alike. Kept beside the page, so that counts over the whole site need
 * no page to be loaded.
 */
export const summarySchema = z.strictObject({
  bands: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      theme: z.string(),
      fill: paint.optional(),
    }),
  ),
  groups: z.array(
    z.strictObject({
      theme: z.string(),
      kind: z.string(),
      /** Absent for sections themselves. */
      sample: z.unknown().optional(),
      fill: paint.optional(),
      count: z.number().int().min(1),
    }),
  ),
})

export type Summary = z.infer<typeof summarySchema>

/** What decides an element's colours, with the words of its content left out. */
function sampleOf(element: SiteElement): unknown {
  const byContent = kindOf(element.kind).facets.flatMap((facet) =>
    typeof facet.role === 'string' ? [] : [facet.role.by],
  )
  const content = Object.fromEntries(
    byContent.map((word) => [word, (element.content as Record<string, unknown>)[word]]),
  )
  const { kind, style, colors } = element
  return { id: 'sample', kind, content, ...(style ? { style } : {}), ...(colors ? { colors } : {}) }
}

export function summarize(body: Body): Summary {
  const groups = new Map<string, Summary['groups'][number]>()
  const add = (group: Omit<Summary['groups'][number], 'count'>) => {
    const key = canonicalJson(group)
    groups.set(key, { ...group, count: (groups.get(key)?.count ?? 0) + 1 })
  }
  for (const section of sectionsInOrder(body)) {
    const fill = section.colors?.fill?.rest
    add({ theme: section.theme, kind: 'section', ...(fill ? { fill } : {}) })
    walkSection(body, section, (element) =>
      add({ theme: section.theme, kind: element.kind, sample: sampleOf(element) }),
    )
  }
  return {
    bands: sectionsInOrder(body).map(({ id, name, theme, colors }) => ({
      id,
      name,
      theme,
      ...(colors?.fill?.rest ? { fill: colors.fill.rest } : {}),
    })),
    groups: [...groups.values()],
  }
}

/** How many painted things each slot and each role of each theme reaches. */
export interface Reach {
  readonly slots: Readonly<Record<string, number>>
  /** By `theme/role`. */
  readonly roles: Readonly<Record<string, number>>
  /** Elements by the element style they take. */
  readonly styles: Readonly<Record<string, number>>
}

function tracesOf(frame: Frame, group: Summary['groups'][number]): Trace[] {
  const theme = own(frame.themes.byId, group.theme)
  if (!theme) return []
  const docs = { frame, pages: {} }
  const section = { id: 'sample', theme: theme.id } as unknown as Section
  const spot: Spot = {
    docs,
    doc: 'frame',
    section,
    theme,
    ...(group.fill ? { ownFill: group.fill } : {}),
  }
  const element = group.sample as SiteElement | undefined
  return facetsOf(element).flatMap((facet) => {
    const rest = traceFacet(spot, element, facet, 'rest')
    const hover = traceFacet(spot, element, facet, 'hover')
    return hover.chain[hover.decidedBy]!.state === 'hover' ? [rest, hover] : [rest]
  })
}

/** Counts what every slot and role paints, from the summaries of frame and pages alone. */
export function reachOf(frame: Frame, summaries: readonly Summary[]): Reach {
  const slots: Record<string, number> = {}
  const roles: Record<string, number> = {}
  const styles: Record<string, number> = {}
  for (const group of summaries.flatMap((summary) => summary.groups)) {
    const style = (group.sample as SiteElement | undefined)?.style
    if (style) styles[style] = (styles[style] ?? 0) + group.count
    for (const trace of tracesOf(frame, group)) {
      if (trace.slot) slots[trace.slot] = (slots[trace.slot] ?? 0) + group.count
      const decider = trace.chain[trace.decidedBy]!
      if (decider.at !== 'theme') continue
      const key = `${decider.theme}/${decider.role}`
      roles[key] = (roles[key] ?? 0) + group.count
    }
  }
  return { slots, roles, styles }
}
