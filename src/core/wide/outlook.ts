import { lowInAddOns, lowInThemes, lowOnPage, type LowContrast } from '../check'
import type { Look } from '../uses'
import { applyChanges } from '../changes'
import { fromOklch, mapToGamut, toOklch, writeHex } from '../color'
import { kindOf, type KindId } from '../elements'
import { decisionColor, facetsOf, readingOf, spotsOnPage, traceFacet } from '../resolve'
import {
  isBound,
  recordAt,
  type ColorDecision,
  type Frame,
  type Page,
  type PageId,
  type Palette,
  type SiteDocs,
} from '../site'
import type { SweepRequest } from '../sweep'
import { planInMemory } from './in-memory'

/** Documents as a sweep would leave them, as far as they are at hand; undefined where it is refused. */
export function sweptDocs(docs: SiteDocs, request: SweepRequest): SiteDocs | undefined {
  const planned = planInMemory(docs, { type: 'sweep', request })
  if (!planned.ok) return undefined
  return planned.changes.reduce<SiteDocs>((now, { kind, id, changes }) => {
    const record = applyChanges(recordAt(now, { kind, id }), changes)
    if (kind === 'frame') return { ...now, frame: record as Frame }
    if (kind === 'page') return { ...now, pages: { ...now.pages, [id]: record as Page } }
    return now
  }, docs)
}

/** A page of samples: one thing of each look that pages have which are not at hand. */
const SAMPLES = 'every-look' as PageId
/** Looks that are looked at, the most frequent ones. */
const MOST_LOOKS = 400

interface Sampled extends Page {
  readonly looks: readonly Look[]
}

/** A thing that looks so, in words of its kind's own sample. */
function sampleOf({ kind, sample }: Look, id: string) {
  const { samples, fresh } = kindOf(kind as KindId)
  const words = (samples('')[0]?.content ?? fresh) as object | undefined
  return { ...sample, id, kind, content: { ...words, ...sample?.content } }
}

/**
 * Documents with a sample of each look beside them, so that a sweep changes those as it would the
 * pages that they stand for. A sample stands in its section alone, not in what things stand in there.
 */
export function withLooks(docs: SiteDocs, looks: readonly Look[]): SiteDocs {
  const most = looks
    .filter(({ sample, count }) => sample && count > 0)
    .sort((a, b) => b.count - a.count)
    .slice(0, MOST_LOOKS)
  const sections = most.map(({ theme, fill }, i) => ({
    id: `s-${i}`,
    name: 'Sample',
    kind: 'band',
    theme,
    layout: 'stack',
    children: [`e-${i}`],
    ...(fill ? { looks: { fill: { rest: fill } } } : {}),
  }))
  const elements = most.map((look, i) => sampleOf(look, `e-${i}`))
  const byId = <T extends { readonly id: string }>(all: readonly T[]) =>
    Object.fromEntries(all.map((each) => [each.id, each]))
  const page = {
    id: SAMPLES,
    title: '',
    body: {
      order: sections.map(({ id }) => id),
      sections: byId(sections),
      elements: byId(elements),
    },
    looks: most,
  } as unknown as Sampled
  return { ...docs, pages: { ...docs.pages, [SAMPLES]: page } }
}

/** Words and lines of the samples, each at rest. */
function ofSamples(docs: SiteDocs): LowContrast[] {
  const page = docs.pages[SAMPLES] as Sampled | undefined
  if (!page) return []
  const spots = spotsOnPage(docs, SAMPLES).filter(({ doc }) => doc === SAMPLES)
  return spots.flatMap((spot) => {
    const [id] = spot.section.children
    const element = id && page.body.elements[id]
    const look = page.looks[Number(id?.slice('e-'.length))]
    if (!element || !look) return []
    const shown = facetsOf(element).filter(({ key }) => !look.hides?.includes(key))
    return shown.flatMap((facet) => {
      const reading = readingOf(spot, element, traceFacet(spot, element, facet, 'rest'))
      if (!reading?.needs || reading.ratio >= reading.needs) return []
      const { ratio, needs, color, ground } = reading
      const where = `${look.count} on other pages`
      const what = `${kindOf(element.kind).label.toLowerCase()}, ${facet.label.toLowerCase()}: ${where}`
      return [{ key: `${SAMPLES}/${id}/${facet.key}`, what, color, ground, ratio, needs }]
    })
  })
}

/** All that has too little contrast: in themes and add-ons, on a page where one is given, in the looks of other pages. What is found soonest comes first. */
function* lowIn(docs: SiteDocs, page?: PageId): Generator<LowContrast> {
  yield* lowInThemes(docs.frame)
  yield* lowInAddOns(docs.frame)
  if (page) yield* lowOnPage(docs, page).low
  yield* ofSamples(docs)
}

export const hardToRead = (docs: SiteDocs, page?: PageId): LowContrast[] => [...lowIn(docs, page)]

/** What would be hard to read after a change and was not before it. */
export function wouldBeHardToRead(before: SiteDocs, after: SiteDocs, page?: PageId): LowContrast[] {
  const known = new Set(hardToRead(before, page).map(({ key }) => key))
  return hardToRead(after, page).filter(({ key }) => !known.has(key))
}

/** How far a shade is looked for, and in which steps, in points of OKLCH lightness. */
const [FURTHEST, STEP] = [60, 2]

/** The same colour lighter or darker, by points of OKLCH lightness: of a slot a shade of it. */
function shifted(palette: Palette, to: ColorDecision, by: number): ColorDecision {
  if (isBound(to)) {
    const lightness = Math.max(-100, Math.min(100, (to.shade?.lightness ?? 0) + by))
    return { slot: to.slot, shade: { ...to.shade, lightness } }
  }
  const { l, ...rest } = toOklch(decisionColor(palette, to))
  const lightness = Math.max(0, Math.min(1, l + by / 100))
  return { value: writeHex(mapToGamut(fromOklch({ ...rest, l: lightness }))) }
}

/**
 * The shade nearest to what a pair leads to with which nothing would be hard to read that was not
 * before; undefined where there is none.
 */
export function readableInstead(
  docs: SiteDocs,
  request: SweepRequest,
  pair: number,
  page?: PageId,
): ColorDecision | undefined {
  const { palette } = docs.frame
  const known = new Set(hardToRead(docs, page).map(({ key }) => key))
  const isFine = (to: ColorDecision) => {
    const pairs = request.pairs.map((each, i) => (i === pair ? { ...each, to } : each))
    const after = sweptDocs(docs, { ...request, pairs })
    if (!after) return false
    for (const { key } of lowIn(after, page)) if (!known.has(key)) return false
    return true
  }
  for (let by = STEP; by <= FURTHEST; by += STEP) {
    for (const to of [
      shifted(palette, request.pairs[pair]!.to, -by),
      shifted(palette, request.pairs[pair]!.to, by),
    ]) {
      if (isFine(to)) return to
    }
  }
  return undefined
}
