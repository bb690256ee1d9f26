import { sectionFacets } from '../elements'
import {
  bodyOf,
  isColor,
  own,
  paintIn,
  standingOn,
  type Body,
  type DocId,
  type Looks,
  type PageId,
  type Paint,
  type Section,
  type SiteDocs,
  type SiteElement,
  type Theme,
} from '../site'

/** A section as it stands on one page: with the theme and the ground it really takes there. */
export interface Spot {
  readonly docs: SiteDocs
  readonly doc: DocId
  readonly section: Section
  readonly theme: Theme
  /** A fill of the section's own, or of the section a blending header lies on. */
  readonly ownFill?: Paint
  /** The same with what stands in its place on tablets and phones. */
  readonly grounds?: Looks
}

/**
 * Whether a blending header lies on the section under it rather than beside it:
 * a gradient or a picture runs on behind it, where a plain colour needs only be
 * the same.
 */
export function liesOver({ section, grounds }: Spot): boolean {
  if (section.kind !== 'header' || !section.blend || !grounds) return false
  return sectionFacets.some((facet) => {
    const fill = paintIn(grounds, facet, 'rest')
    return fill !== undefined && !isColor(fill)
  })
}

/** Header, bands and footer of a page, top to bottom; what is hidden stands nowhere. */
export function spotsOnPage(docs: SiteDocs, page: PageId): Spot[] {
  const shown = standingOn(docs.frame, own(docs.pages, page)).filter(
    ({ section }) => !section.hidden,
  )
  const under = shown.find(({ section }) => section.kind === 'band')?.section
  return shown.flatMap(({ doc, section }) => spotOf(docs, doc, section, under) ?? [])
}

/** Of looks, the grounds alone; nothing where there is none. */
function groundsIn(looks: Looks | undefined): Looks | undefined {
  if (!looks) return undefined
  const own = sectionFacets.flatMap(({ key }) => (looks[key] ? [[key, looks[key]] as const] : []))
  return own.length ? Object.fromEntries(own) : undefined
}

function spotOf(docs: SiteDocs, doc: DocId, section: Section, under?: Section): Spot | undefined {
  const source = section.blend && under ? under : section
  const theme = docs.frame.themes.byId[source.theme]
  if (!theme) return undefined
  const ownFill = paintIn(source.looks, { key: 'fill' }, 'rest')
  const grounds = groundsIn(source.looks)
  return {
    docs,
    doc,
    section,
    theme,
    ...(ownFill ? { ownFill } : {}),
    ...(grounds ? { grounds } : {}),
  }
}

const holders = new WeakMap<Body, ReadonlyMap<string, SiteElement>>()

/** What holds each element of a body, for those that stand in another one; found once for as long as the body stays as it is. */
function holdersOf(body: Body): ReadonlyMap<string, SiteElement> {
  const known = holders.get(body)
  if (known) return known
  const all = Object.values(body.elements)
  const found = new Map(
    all.flatMap((element) => element.children?.map((id) => [id as string, element] as const) ?? []),
  )
  holders.set(body, found)
  return found
}

/** The elements around an element, from the outermost to its parent. */
export function parentsOf(spot: Spot, id: string): SiteElement[] {
  const body = bodyOf(spot.docs, spot.doc)
  if (!body) return []
  const found = holdersOf(body)
  const above: SiteElement[] = []
  for (let holder = found.get(id); holder && !above.includes(holder);) {
    above.unshift(holder)
    holder = found.get(holder.id)
  }
  return above
}
