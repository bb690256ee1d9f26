import { kindIds, kindOf } from '../elements'
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
  readonly sample?: object
  /** A fill of its own, of the section that they stand in. */
  readonly fill?: Paint
  readonly count: number
}

const samples = new WeakMap<object, string>()

/** A sample as canonical JSON. */
const sampleText = (sample: object): string => samples.get(sample) ?? canonicalJson(sample)

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

/** The words of an element's content that decide its colours, by kind. */
const wordsThatDecide = new Map(
  kindIds.map((kind) => [
    kind as string,
    kindOf(kind).facets.flatMap(({ role }) => (typeof role === 'string' ? [] : [role.by])),
  ]),
)

const texts = new WeakMap<SiteElement, string>()

/**
 * What decides an element's colours, with the words of its content left out, as
 * canonical JSON; made once for as long as the element stays the same object.
 */
function lookOf(element: SiteElement): string {
  const known = texts.get(element)
  if (known !== undefined) return known
  const { kind, style, colors } = element
  const own = element.content as Record<string, unknown>
  const words = wordsThatDecide.get(kind) ?? []
  const content = words.length
    ? canonicalJson(Object.fromEntries(words.map((word) => [word, own[word]])))
    : '{}'
  const members = [
    ...(colors ? [`"colors":${canonicalJson(colors)}`] : []),
    `"content":${content},"id":"sample","kind":"${kind}"`,
    ...(style ? [`"style":${JSON.stringify(style)}`] : []),
  ]
  const text = `{${members.join(',')}}`
  texts.set(element, text)
  return text
}

/** A sample of elements that look alike. */
function sampleOf(text: string): object {
  const sample = JSON.parse(text) as object
  samples.set(sample, text)
  return sample
}

type Counted = Look & { count: number }

export function looksOf(body: Body): Look[] {
  const groups: Counted[] = []
  const themes = new Map<string, Map<string, Counted>>()
  const add = (theme: string, key: string, look: () => Omit<Look, 'count'>) => {
    const own = themes.get(theme) ?? new Map<string, Counted>()
    themes.set(theme, own)
    const known = own.get(key)
    if (known) known.count += 1
    else {
      const group = { ...look(), count: 1 }
      own.set(key, group)
      groups.push(group)
    }
  }
  for (const section of sectionsInOrder(body)) {
    const fill = section.colors?.fill?.rest
    const { theme } = section
    const look = { theme, kind: 'section', ...(fill ? { fill } : {}) }
    add(theme, lookKey(look), () => look)
    walkSection(body, section, (element) => {
      const text = lookOf(element)
      add(theme, text, () => ({ theme, kind: element.kind, sample: sampleOf(text) }))
    })
  }
  return groups
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
