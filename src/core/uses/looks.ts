import { kindOf } from '../elements'
import { facetsOf, traceFacet, type Spot, type Trace } from '../resolve'
import {
  siteDocs,
  canonicalJson,
  own,
  sectionsInOrder,
  walkSection,
  type Body,
  type Frame,
  type Paint,
  type Section,
  type SiteElement,
} from '../site'

/**
 * Elements that are coloured alike, and how many of them there are. The looks of
 * a record are kept beside it, so that what a slot reaches over the whole site is
 * counted without a page at hand.
 */
export interface Look {
  readonly theme: string
  readonly kind: string
  /** One of the elements, without its words; absent for sections themselves. */
  readonly sample?: unknown
  /** A fill of its own, of the section that they stand in. */
  readonly fill?: Paint
  readonly count: number
}

const samples = new WeakMap<object, string>()

/** A sample as canonical JSON: written once for as long as it stays the same object. */
function sampleText(sample: unknown): string {
  if (typeof sample !== 'object' || sample === null) return canonicalJson(sample)
  const known = samples.get(sample)
  if (known) return known
  const text = canonicalJson(sample)
  samples.set(sample, text)
  return text
}

/** Looks that are alike have the same key: the look without its count, as canonical JSON. */
export function lookKey({ theme, kind, sample, fill }: Omit<Look, 'count'>): string {
  const members = [
    ...(fill ? [`"fill":${canonicalJson(fill)}`] : []),
    `"kind":${JSON.stringify(kind)}`,
    ...(sample === undefined ? [] : [`"sample":${sampleText(sample)}`]),
    `"theme":${JSON.stringify(theme)}`,
  ]
  return `{${members.join(',')}}`
}

/** Looks of several records in one; a negative count takes away. */
export function mergeLooks(...lists: ReadonlyArray<readonly Look[]>): Look[] {
  const merged = new Map<string, Look>()
  for (const look of lists.flat()) {
    const key = lookKey(look)
    merged.set(key, { ...look, count: (merged.get(key)?.count ?? 0) + look.count })
  }
  return [...merged.values()].filter(({ count }) => count !== 0)
}

/** What decides an element's colours, with the words of its content left out. */
function sampleOf(element: SiteElement): unknown {
  const byContent = kindOf(element.kind).facets.flatMap((facet) =>
    typeof facet.role === 'string' ? [] : [facet.role.by],
  )
  const content = Object.fromEntries(
    byContent.map((word) => [word, (element.content as Record<string, unknown>)[word]]),
  )
  const { kind, style, colors } = element
  // In the order in which they are written, which spares putting them in order.
  return { ...(colors ? { colors } : {}), content, id: 'sample', kind, ...(style ? { style } : {}) }
}

const sampled = new WeakMap<SiteElement, unknown>()

/** The sample of an element; made once for as long as it stays the same object. */
function keptSample(element: SiteElement): unknown {
  if (sampled.has(element)) return sampled.get(element)
  const sample = sampleOf(element)
  sampled.set(element, sample)
  return sample
}

export function looksOf(body: Body): Look[] {
  const groups = new Map<string, Look & { count: number }>()
  const add = (key: string, look: Omit<Look, 'count'>) => {
    const known = groups.get(key)
    if (known) known.count += 1
    else groups.set(key, { ...look, count: 1 })
  }
  for (const section of sectionsInOrder(body)) {
    const fill = section.colors?.fill?.rest
    const { theme } = section
    const own = { theme, kind: 'section', ...(fill ? { fill } : {}) }
    add(lookKey(own), own)
    walkSection(body, section, (element) => {
      const sample = keptSample(element)
      add(`${theme} ${sampleText(sample)}`, { theme, kind: element.kind, sample })
    })
  }
  return [...groups.values()]
}

/** How many painted things each slot and each role of each theme reaches. */
export interface Reach {
  readonly slots: Readonly<Record<string, number>>
  /** By `theme/role`. */
  readonly roles: Readonly<Record<string, number>>
  /** Elements by the element style they take. */
  readonly styles: Readonly<Record<string, number>>
}

function tracesOf(frame: Frame, group: Look): Trace[] {
  const theme = own(frame.themes.byId, group.theme)
  if (!theme) return []
  const docs = siteDocs(frame)
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

/** Counts what every slot and role paints, from the looks of frame and pages alone. */
export function reachOf(frame: Frame, looks: readonly Look[]): Reach {
  const slots: Record<string, number> = {}
  const roles: Record<string, number> = {}
  const styles: Record<string, number> = {}
  for (const group of looks) {
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
