import { proposeRhythms } from '../generate'
import type { Frame, Page, PageId, Section, SiteElement } from '../site'
import { copySection, type NewId } from './copies'
import type { PageSeat } from './new-page'
import { page } from './write'

/** What of a site a page that comes from elsewhere may refer to. */
export interface OfSite {
  readonly frame: Frame
  /** Pictures that it may show, by id. */
  readonly pictures: readonly string[]
  readonly pages: readonly PageId[]
}

/** The same content with pictures and links of a site: one of its pictures for each that it lacks, no link that leads nowhere. */
function atHome(content: unknown, { pictures, pages }: OfSite): unknown {
  let count = 0
  const fit = (value: unknown, member: string): unknown => {
    if (Array.isArray(value)) return value.map((each) => fit(each, member))
    if (typeof value === 'object' && value !== null) {
      return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, fit(each, key)]))
    }
    if (typeof value !== 'string' || value === '') return value
    if (member === 'asset' && !pictures.includes(value)) {
      count += 1
      return pictures.length ? pictures[(count - 1) % pictures.length]! : ''
    }
    const linked = /^page:(.+)$/.exec(value)?.[1]
    return member === 'href' && linked && !pages.includes(linked as PageId) ? '#' : value
  }
  return fit(content, '')
}

/** A heading that says what its page is called. */
const titled = (heading: SiteElement, title: string) =>
  ({ ...heading, content: { ...heading.content, runs: [{ text: title }] } }) as SiteElement

/**
 * A page of a design as a page of another site: in its themes by a rhythm, with ids of its own,
 * headed by its own title, without the styles and colours that only the design has.
 */
export function pageOfDesign(source: Page, site: OfSite, seat: PageSeat, newId: NewId): Page {
  const { order } = source.body
  const sections = order.map((id) => source.body.sections[id]!)
  const [rhythm = []] = proposeRhythms(site.frame, [sections])
  const laid = sections.map(({ looks: _colors, ...section }, i) => {
    return copySection(source.body, { ...section, theme: rhythm[i]! } as Section, newId)
  })
  const own = (element: SiteElement): SiteElement => {
    const { style, looks: _colors, ...rest } = element
    const keeps = style && site.frame.styles[style]?.kind === element.kind ? { style } : {}
    return { ...rest, ...keeps, content: atHome(element.content, site) } as SiteElement
  }
  const all = laid.flatMap((each) => each.elements.map(own))
  const title = all.findIndex(
    ({ kind, content }) => kind === 'heading' && (content as { level?: number }).level === 1,
  )
  if (title >= 0) all[title] = titled(all[title]!, seat.title)
  return {
    ...page(seat.id, seat.title, source.description, []),
    ...seat,
    body: {
      order: laid.map(({ section }) => section.id),
      sections: Object.fromEntries(laid.map(({ section }) => [section.id, section])),
      elements: Object.fromEntries(all.map((element) => [element.id, element])),
    },
  }
}
