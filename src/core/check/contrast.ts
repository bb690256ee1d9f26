import { addOnKindOf } from '../add-ons'
import { contrast, over, white, type Color } from '../color'
import { kindOf, type Facet } from '../elements'
import { afterDark, failingInSite } from '../generate'
import {
  coloredIn,
  contrastOn,
  decisionColor,
  facetsOf,
  featuresOf,
  groundsUnder,
  paintColors,
  readingOf,
  seenRole,
  spotsOnPage,
  styleChain,
  baseOfThing,
  traceFacet,
  traceFeature,
  varyingUnder,
  themeReading,
  type Failing,
  type Spot,
  type Trace,
} from '../resolve'
import { roleName } from '../roles'
import {
  addOnColors,
  isColor,
  own,
  type AddOn,
  type DocId,
  type ElementId,
  type Frame,
  type PageId,
  type Palette,
  type SectionId,
  type SiteDocs,
  type SiteElement,
  type StyleId,
} from '../site'
import type { State } from '../traits'

/** A colour that has less contrast than it needs where it is. */
export interface LowContrast {
  /** Tells it from all others. */
  readonly key: string
  readonly what: string
  readonly color: Color
  readonly ground: Color
  /** Contrast ratio 1…21, and what it needs (WCAG 2.2, AA). */
  readonly ratio: number
  readonly needs: number
}

/** The same on a page, with where that is. */
export interface LowOnPage extends LowContrast {
  readonly doc: DocId
  readonly section: SectionId
  readonly element: ElementId
  readonly facet: string
  readonly state: State
  readonly edition: Edition
}

export type Edition = 'light' | 'dark'

/** What has too little contrast in the themes, in both editions. */
export function lowInThemes(frame: Frame): LowContrast[] {
  const { light, dark } = failingInSite(frame)
  const entry = (edition: string, { theme, role, reading }: Failing) => ({
    key: `${edition}/${theme.id}/${role}`,
    what: `${theme.name}, ${roleName(role).toLowerCase()} on ${roleName(reading.on).toLowerCase()}${edition}`,
    color: seenRole(frame.palette, theme, role),
    ground: seenRole(frame.palette, theme, reading.on),
    ratio: reading.ratio,
    needs: reading.needs,
  })
  return [
    ...light.map((each) => entry('', each)),
    ...dark.map((each) => entry(', dark edition', each)),
  ]
}

/** Contrast that lines of fields need, and text (WCAG 2.2, 1.4.11 and 1.4.3). */
const [OF_LINES, OF_TEXT] = [3, 4.5]

function lowInAddOn(palette: Palette, addOn: AddOn): LowContrast[] {
  if (addOn.kind === 'other') return []
  const held = new Map(addOnColors(addOn))
  const { colors } = addOnKindOf(addOn.kind)
  return Object.entries(colors).flatMap(([key, { label, on, paints }]) => {
    if (!on) return []
    const ground = over(decisionColor(palette, held.get(on)!), white)
    const color = over(decisionColor(palette, held.get(key)!), ground)
    const [ratio, needs] = [contrast(color, ground), paints === 'line' ? OF_LINES : OF_TEXT]
    if (ratio >= needs) return []
    const what = `${addOn.name}, ${label.toLowerCase()}`
    return [{ key: `add-on/${addOn.id}/${key}`, what, color, ground, ratio, needs }]
  })
}

/** What has too little contrast in the colours of add-ons. */
export const lowInAddOns = ({ addOns, palette }: Frame): LowContrast[] =>
  addOns.flatMap((addOn) => lowInAddOn(palette, addOn))

/** What the contrast of a page comes to. */
export interface PageContrast {
  readonly low: readonly LowOnPage[]
  /** How many colours were measured, each state and edition by itself. */
  readonly measured: number
  /** How many depend on where they lie over a gradient or picture, which only the drawn page tells. */
  readonly unmeasured: number
}

/** States that are worth a look of their own, for what somebody decided in them. */
const STATES: readonly State[] = ['hover', 'focus', 'pressed']

/** The states in which a thing may look otherwise than at rest. */
function statesOf(spot: Spot, element: SiteElement, facet: Facet): State[] {
  // A focus ring is drawn in that state alone.
  if (facet.role === 'focus') return ['focus']
  const { styles } = spot.docs.frame
  const given = styleChain(styles, element.style)
  const base = own(styles, baseOfThing(spot, element).id as StyleId)
  const looks = [element.looks, base?.looks, ...given.map((style) => style.looks)]
  const decided = new Set(
    looks.flatMap((each) =>
      Object.values(each ?? {}).flatMap((states) => Object.keys(states ?? {})),
    ),
  )
  if (facetsOf(element).some(({ hover }) => hover)) decided.add('hover')
  return ['rest', ...STATES.filter((state) => decided.has(state))]
}

/** A fill that its element decides for itself and that nothing tells from what it lies on, by how much it differs. */
const ALIKE = 1.1

type Judged = Pick<LowContrast, 'color' | 'ground' | 'ratio' | 'needs'> | 'fine' | 'unmeasured'

/** Whether the pair of the theme itself has too little contrast, so that it is told there. */
function isOfTheme({ docs, theme }: Spot, { chain, decidedBy }: Trace): boolean {
  const decider = chain[decidedBy]!
  return (
    decider.at === 'theme' &&
    themeReading(docs.frame.palette, theme, decider.role)?.passes === false
  )
}

/** How one colour of an element does in one state; undefined for what needs no contrast. */
function judge(spot: Spot, element: SiteElement, facet: Facet, state: State): Judged | undefined {
  const trace = traceFacet(spot, element, facet, state)
  if (facet.paints === 'fill') return judgeFill(spot, element, trace)
  const reading = readingOf(spot, element, trace)
  if (!reading?.needs) return undefined
  const { ratio, needs, color, ground } = reading
  if (varyingUnder(spot, element, trace).some(({ trace: { paint } }) => 'picture' in paint))
    return 'unmeasured'
  if (ratio >= needs || isOfTheme(spot, trace)) return 'fine'
  // On a gradient the worst colour counts only where nothing of it would do.
  const { palette } = spot.docs.frame
  const best = Math.max(
    ...paintColors(palette, trace.paint).flatMap((each) =>
      groundsUnder(spot, element, trace).map((backdrop) => contrastOn(each, backdrop)),
    ),
  )
  const varies = !isColor(trace.paint) || varyingUnder(spot, element, trace).length > 0
  return varies && best >= needs ? 'unmeasured' : { ratio, needs, color, ground }
}

/** A button that was given the very colour it lies on looks like bare text; its border may still tell it. */
function judgeFill(spot: Spot, element: SiteElement, trace: Trace): Judged | undefined {
  const { facet, color, state } = trace
  const decider = trace.chain[trace.decidedBy]!
  const isButton = facet.role === 'buttonFill' && decider.at !== 'theme'
  if (!isButton || !color || color.alpha === 0) return undefined
  const width = featuresOf(element).find(
    ({ trait, part }) => trait === 'lineWidth' && part === facet.part,
  )
  const hasLine = !width || traceFeature(spot, element, width, state).value !== 0
  const told = [
    facet,
    ...facetsOf(element).filter(
      ({ paints, role, within, part }) =>
        hasLine && paints === 'line' && role !== 'focus' && !within && part === facet.part,
    ),
  ]
  const readings = told.map((each) => {
    const own = traceFacet(spot, element, each, state)
    const shown = own.color ?? color
    return groundsUnder(spot, element, { ...own, facet: { ...each, on: undefined } })
      .map((backdrop) => ({
        ratio: contrastOn(shown, backdrop),
        color: shown,
        ground: backdrop.ground,
      }))
      .reduce((least, one) => (one.ratio < least.ratio ? one : least))
  })
  const best = readings.reduce((most, one) => (one.ratio > most.ratio ? one : most))
  return best.ratio < ALIKE ? { ...best, needs: ALIKE } : 'fine'
}

/** Goes through one edition of a page, and stops after each element so that others can go on meanwhile. */
function* measureEdition(
  docs: SiteDocs,
  page: PageId,
  edition: Edition,
): Generator<undefined, PageContrast> {
  const low: LowOnPage[] = []
  let [measured, unmeasured] = [0, 0]
  for (const spot of spotsOnPage(docs, page)) {
    let last: SiteElement | undefined
    for (const { element, facet } of coloredIn(spot)) {
      if (!element) continue
      if (element !== last) yield undefined
      last = element
      const known = new Set<string>()
      for (const state of statesOf(spot, element, facet)) {
        const judged = judge(spot, element, facet, state)
        if (judged === undefined) continue
        if (judged === 'unmeasured') unmeasured += 1
        else measured += 1
        if (typeof judged === 'string') continue
        const seen = JSON.stringify([judged.color, judged.ground])
        if (known.has(seen)) continue
        known.add(seen)
        low.push(found(spot, element, facet, { state, edition, ...judged }))
      }
    }
  }
  return { low, measured, unmeasured }
}

function found(
  { doc, section }: Spot,
  element: SiteElement,
  { key: facet, label: part }: Facet,
  low: Pick<LowOnPage, 'state' | 'edition' | 'color' | 'ground' | 'ratio' | 'needs'>,
): LowOnPage {
  const { state, edition } = low
  const { label, title } = kindOf(element.kind)
  const words = [
    `${label} “${title(element.content).slice(0, 40)}”`,
    part.toLowerCase(),
    ...(state === 'rest' ? [] : [state]),
    ...(edition === 'dark' ? ['dark edition'] : []),
  ]
  return {
    key: [doc, element.id, facet, state, edition].join('/'),
    what: words.join(', '),
    doc,
    section: section.id,
    element: element.id,
    facet,
    ...low,
  }
}

/**
 * What has too little contrast on a page, as it is drawn: single elements, styles, states that
 * somebody decided, both editions, opacity. What a theme's own pair is to blame for is told with
 * the themes. Text over pictures, and over gradients on which it can be read in part, is counted
 * and not judged: that depends on where it lies. Stops after each element.
 */
export function* measurePage(docs: SiteDocs, page: PageId): Generator<undefined, PageContrast> {
  const light = yield* measureEdition(docs, page, 'light')
  if (docs.frame.edition === 'light') return light
  const dark = yield* measureEdition({ ...docs, frame: afterDark(docs.frame) }, page, 'dark')
  return {
    low: [...light.low, ...dark.low],
    measured: light.measured + dark.measured,
    unmeasured: light.unmeasured + dark.unmeasured,
  }
}

/** The same at once. */
export function lowOnPage(docs: SiteDocs, page: PageId): PageContrast {
  const work = measurePage(docs, page)
  for (;;) {
    const { done, value } = work.next()
    if (done) return value
  }
}
