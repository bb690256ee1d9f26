import { baseOf, basesOf, isFeature, kindIds, kindOf, type KindId } from '../elements'
import {
  facetsOf,
  featuresOf,
  isShown,
  propertiesOfThing,
  styleChain,
  traceFacet,
  traceFeature,
  type Spot,
  type Trace,
} from '../resolve'
import { states, type SettingId, type State } from '../traits'
import {
  siteDocs,
  canonicalJson,
  isBound,
  isColor,
  own,
  paintIn,
  shownSections,
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
  /** What of the elements decides their colours: nothing of their words; absent for sections themselves. */
  readonly sample?: Pick<SiteElement, 'looks' | 'style'> & { readonly content?: object }
  /** Facets that cannot be seen in them, by their keys. */
  readonly hides?: readonly string[]
  /** A fill of its own, of the section that they stand in. */
  readonly fill?: Paint
  readonly count: number
}

/** Looks that are alike have the same key: the look without its count, as canonical JSON. */
export const lookKey = ({ theme, kind, sample, fill, hides }: Omit<Look, 'count'>): string =>
  canonicalJson({
    ...(fill ? { fill } : {}),
    ...(hides ? { hides } : {}),
    kind,
    ...(sample ? { sample } : {}),
    theme,
  })

/** Looks of several records in one; a negative count takes away. */
export function mergeLooks(...lists: ReadonlyArray<readonly Look[]>): Look[] {
  const merged = new Map<string, Look>()
  for (const look of lists.flat()) {
    const key = lookKey(look)
    merged.set(key, { ...look, count: (merged.get(key)?.count ?? 0) + look.count })
  }
  return [...merged.values()].filter(({ count }) => count !== 0)
}

/** The words of an element's content that decide how it looks, by kind. */
const wordsThatDecide = new Map(
  kindIds.map((kind) => {
    const ofRoles = kindOf(kind).facets.flatMap(({ role }) =>
      typeof role === 'string' ? [] : [role.by],
    )
    const ofBases = basesOf(kind).flatMap(({ by }) => by ?? [])
    return [kind as string, [...new Set([...ofRoles, ...ofBases])]]
  }),
)

/** The facets that some elements of a kind do not show; of most kinds there are none. */
const hiddenInSome = new Map(
  kindIds.map((kind) => [kind as string, kindOf(kind).facets.filter(({ shows }) => shows)]),
)

const texts = new WeakMap<SiteElement, string>()

/**
 * What decides an element's colours, with the words of its content left out: the
 * members of canonical JSON; made once for as long as the element stays the same object.
 */
function lookOf(element: SiteElement): string {
  const known = texts.get(element)
  if (known !== undefined) return known
  const { kind, style, looks } = element
  const own = element.content as Record<string, unknown>
  const words = wordsThatDecide.get(kind) ?? []
  const content = Object.fromEntries(
    words.flatMap((word) => (own[word] === undefined ? [] : [[word, own[word]]])),
  )
  const members = [
    ...(looks ? [`"looks":${canonicalJson(looks)}`] : []),
    ...(words.length ? [`"content":${canonicalJson(content)}`] : []),
    ...(style ? [`"style":${JSON.stringify(style)}`] : []),
  ]
  const hides = (hiddenInSome.get(kind) ?? []).flatMap((facet) =>
    isShown(facet, element) ? [] : [facet.key],
  )
  const hidden = hides.length ? `"hides":${JSON.stringify(hides)},` : ''
  const text = `${hidden}"kind":"${kind}","sample":{${members.join(',')}}`
  texts.set(element, text)
  return text
}

/** A look by its key, and how many things look so; of a change, how many more, or fewer. */
export interface CountedLook {
  readonly key: string
  readonly count: number
}

/** All that has a look in a body, sections and their elements, each with the theme that it stands in. */
function* thingsIn(body: Body): Generator<readonly [theme: string, Section, SiteElement?]> {
  for (const section of shownSections(body)) {
    const { theme } = section
    yield [theme, section]
    const elements: SiteElement[] = []
    walkSection(body, section, (element) => elements.push(element))
    for (const element of elements) yield [theme, section, element]
  }
}

const sectionKey = ({ theme, looks }: Section): string =>
  lookKey({ theme, kind: 'section', fill: paintIn(looks, { key: 'fill' }, 'rest') })

const elementKey = (theme: string, element: SiteElement): string =>
  `{${lookOf(element)},"theme":${JSON.stringify(theme)}}`

/** The looks of a body by their keys, in the order in which they are first met. */
export function countLooks(body: Body): CountedLook[] {
  return lookChanges(undefined, body)
}

/**
 * How the looks of a body are counted otherwise than those of another, of which only what
 * changed is looked at: a thing that is the same object in the same theme looks the same.
 */
export function lookChanges(before: Body | undefined, after: Body): CountedLook[] {
  const earlier = before ? [...thingsIn(before)] : []
  const was = new Map(earlier.map(([theme, section, element]) => [element ?? section, theme]))
  const counts = new Map<string, number>()
  const count = (theme: string, section: Section, element: SiteElement | undefined, by: number) => {
    const key = element ? elementKey(theme, element) : sectionKey(section)
    counts.set(key, (counts.get(key) ?? 0) + by)
  }
  for (const [theme, section, element] of thingsIn(after)) {
    if (was.get(element ?? section) === theme) was.delete(element ?? section)
    else count(theme, section, element, 1)
  }
  for (const [theme, section, element] of earlier) {
    if (was.has(element ?? section)) count(theme, section, element, -1)
  }
  return [...counts].flatMap(([key, count]) => (count === 0 ? [] : [{ key, count }]))
}

export function looksOf(body: Body): Look[] {
  return countLooks(body).map(({ key, count }) => ({
    ...(JSON.parse(key) as Omit<Look, 'count'>),
    count,
  }))
}

/** How many painted things each slot and each role of each theme reaches. */
export interface Reach {
  readonly slots: Readonly<Record<string, number>>
  /** By `theme/role`. */
  readonly roles: Readonly<Record<string, number>>
  /** Elements by the element styles that they take or inherit from, base styles included. */
  readonly styles: Readonly<Record<string, number>>
}

/** A section that things of a look stand in; nothing where its theme is gone. */
function spotOfLook(frame: Frame, { theme: id, fill }: Look): Spot | undefined {
  const theme = own(frame.themes.byId, id)
  if (!theme) return undefined
  const section = { id: 'sample', kind: 'band', theme: id, children: [] } as unknown as Section
  return {
    docs: siteDocs(frame),
    doc: 'frame',
    section,
    theme,
    ...(fill ? { ownFill: fill, grounds: { fill: { rest: fill } } } : {}),
  }
}

/** An element of a look; nothing for sections themselves. */
const elementOfLook = ({ sample, kind }: Look) =>
  sample && ({ content: {}, ...sample, id: 'sample', kind } as SiteElement)

function tracesOf(frame: Frame, group: Look): Trace[] {
  const spot = spotOfLook(frame, group)
  if (!spot) return []
  const element = elementOfLook(group)
  // A part of a border, or the ground on phones, is seen for itself where it is decided.
  const shown = facetsOf(element).filter(
    ({ key, within }) =>
      !group.hides?.includes(key) && (!within || group.sample?.looks?.[key] !== undefined),
  )
  return shown.flatMap((facet) =>
    states
      .map((state) => traceFacet(spot, element, facet, state))
      .filter(({ chain, decidedBy, state }) => chain[decidedBy]!.state === state),
  )
}

/** The slots that a paint takes, each once: of a colour, of the stops of a gradient, of a picture's tint and the colour under it. */
function slotsOf(paint: Paint): string[] {
  const decisions = isColor(paint)
    ? [paint]
    : 'gradient' in paint
      ? paint.stops.map(({ color }) => color)
      : [paint.under, ...(paint.tint ? [paint.tint] : [])]
  const bound = decisions.filter(isBound).filter((each) => !isClear(each))
  return [...new Set(bound.map(({ slot }) => slot as string))]
}

/** A shade that is clear shows nothing of its slot, whatever that holds. */
const isClear = ({ shade }: Pick<Trace, 'shade'>): boolean => (shade?.alpha ?? 0) <= -100

/** The styles that elements of a look take or inherit from. */
function stylesOf({ styles }: Frame, { kind, sample }: Look): string[] {
  if (!sample) return []
  const given = styleChain(styles, sample.style).map(({ id }) => id as string)
  return [...new Set([...given, baseOf(kind as KindId, sample.content ?? {}).id])]
}

/** Counts what every slot and role paints, from the looks of frame and pages alone. */
export function reachOf(frame: Frame, looks: readonly Look[]): Reach {
  const slots: Record<string, number> = {}
  const roles: Record<string, number> = {}
  const styles: Record<string, number> = {}
  for (const group of looks) {
    for (const style of stylesOf(frame, group)) {
      styles[style] = (styles[style] ?? 0) + group.count
    }
    for (const trace of tracesOf(frame, group)) {
      for (const slot of slotsOf(trace.paint)) slots[slot] = (slots[slot] ?? 0) + group.count
      const decider = trace.chain[trace.decidedBy]!
      if (decider.at !== 'theme') continue
      const key = `${decider.theme}/${decider.role}`
      roles[key] = (roles[key] ?? 0) + group.count
    }
  }
  return { slots, roles, styles }
}

/**
 * How many things look otherwise once an element style decides a property in a state: of the
 * kind, those that have the style and for which nothing nearer decides it.
 */
export function changedByStyle(
  frame: Frame,
  looks: readonly Look[],
  asked: {
    readonly style: string
    readonly kind: string
    readonly key: string
    readonly state: State
  },
): number {
  return looks.reduce((sum, group) => {
    const spot = group.kind === asked.kind ? spotOfLook(frame, group) : undefined
    const element = elementOfLook(group)
    const property = propertiesOfThing(element).find(({ key }) => key === asked.key)
    if (!spot || !property) return sum
    const { chain, decidedBy } = isFeature(property)
      ? traceFeature(spot, element, property, asked.state)
      : traceFacet(spot, element, property, asked.state)
    const at = chain.findIndex(
      (each) =>
        'style' in each &&
        each.style === asked.style &&
        each.state === asked.state &&
        each.key === asked.key,
    )
    return at >= 0 && (decidedBy < 0 || at <= decidedBy) ? sum + group.count : sum
  }, 0)
}

/** How many things follow each site-wide setting, from the looks of frame and pages alone. */
export function settingReachOf(
  frame: Frame,
  looks: readonly Look[],
): Readonly<Partial<Record<SettingId, number>>> {
  const found: Partial<Record<SettingId, number>> = {}
  for (const group of looks) {
    const spot = spotOfLook(frame, group)
    const element = elementOfLook(group)
    if (!spot) continue
    const followed = featuresOf(element).map(
      (feature) => traceFeature(spot, element, feature, 'rest').setting,
    )
    for (const setting of new Set(followed)) {
      if (setting) found[setting] = (found[setting] ?? 0) + group.count
    }
  }
  return found
}
