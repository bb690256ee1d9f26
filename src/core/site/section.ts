import * as z from 'zod'
import { sectionLayouts } from '../elements'
import { elementSchema, mostChildren, type SiteElement } from './element'
import { elementId, sectionId, themeId, type ElementId, type SectionId } from './ids'
import { own } from './own'
import { nameText } from './text'
import { looksOf } from './looks'

/** Most sections of a page. */
export const mostSections = 100

/**
 * A band of a page. The header may blend: it takes theme and ground of the section under it.
 * Sections of the frame are the parts of the site: its header and footer, which stand on every
 * page that has none of its own, and bands, which stand wherever the order of a page names them.
 */
export const sectionSchema = z.strictObject({
  id: sectionId,
  name: nameText,
  kind: z.enum(['header', 'band', 'footer']),
  theme: themeId,
  blend: z.boolean().optional(),
  /** Kept, and not shown on any page. */
  hidden: z.literal(true).optional(),
  layout: z.enum(sectionLayouts),
  centered: z.boolean().optional(),
  looks: looksOf('section').optional(),
  children: z.array(elementId).max(mostChildren),
})

/** Sections with their elements, flat and by id: what frame and pages have in common. */
export const bodySchema = z.strictObject({
  /** Top to bottom. On a page, one that is none of its own sections is a part of the site. */
  order: z.array(sectionId).max(mostSections),
  sections: z.record(sectionId, sectionSchema),
  elements: z.record(elementId, elementSchema),
})

export type Section = z.infer<typeof sectionSchema>
export type Body = z.infer<typeof bodySchema>

export function sectionsInOrder(body: Body): Section[] {
  return body.order.flatMap((id) => body.sections[id] ?? [])
}

/** The sections that pages show. */
export function shownSections(body: Body): Section[] {
  return sectionsInOrder(body).filter(({ hidden }) => !hidden)
}

export function childrenOf(body: Body, ids: readonly ElementId[] = []): SiteElement[] {
  return ids.flatMap((id) => body.elements[id] ?? [])
}

/** Calls back for every element of a section, outer before inner. */
export function walkSection(
  body: Body,
  section: Section,
  visit: (element: SiteElement, parents: readonly SiteElement[]) => void,
): void {
  const step = (ids: readonly ElementId[] | undefined, parents: readonly SiteElement[]) => {
    for (const element of childrenOf(body, ids)) {
      visit(element, parents)
      step(element.children, [...parents, element])
    }
  }
  step(section.children, [])
}

/**
 * Whether elements are a tree: each is held once at most, and none by itself or by what it holds.
 * Whatever walks through a body relies on that.
 */
export function isTree(body: Body): boolean {
  const holders = new Map<string, string | undefined>()
  const hold = (ids: readonly string[] | undefined, holder?: string) => {
    for (const id of ids ?? []) {
      if (holders.has(id)) return false
      holders.set(id, holder)
    }
    return true
  }
  const isHeldOnce =
    Object.values(body.sections).every(({ children }) => hold(children)) &&
    Object.values(body.elements).every(({ id, children }) => hold(children, id))
  if (!isHeldOnce) return false
  const safe = new Set<string>()
  return [...holders.keys()].every((first) => {
    const way = new Set<string>()
    for (let id: string | undefined = first; id !== undefined && !safe.has(id);) {
      if (way.has(id)) return false
      way.add(id)
      id = holders.get(id)
    }
    for (const id of way) safe.add(id)
    return true
  })
}

export function sectionOf(body: Body, element: ElementId): SectionId | undefined {
  return sectionsInOrder(body).find((section) => {
    let found = false
    walkSection(body, section, ({ id }) => {
      found ||= id === element
    })
    return found
  })?.id
}

/** Where an element stands: what holds it, and its neighbours there. */
export function seatOf(body: Body, section: SectionId, element: ElementId) {
  const top = own(body.sections, section)?.children ?? []
  // Most stand in no other: then nothing has to be searched.
  const holder = top.includes(element)
    ? undefined
    : Object.values(body.elements).find(({ children }) => children?.includes(element))
  const list = holder?.children ?? top
  return { into: holder?.id, list, at: list.indexOf(element) }
}
