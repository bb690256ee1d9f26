import * as z from 'zod'
import {
  docId,
  elementId,
  mostSections,
  own,
  pageId,
  sectionId,
  type ElementId,
  type SectionId,
} from '../site'
import { defineEdit, draftBody, pagesIn, type DraftBody, type EditProblem } from './edit'
import { idsUnder } from './element-edits'

/** New ids for elements that go from one document to another; one that is not named keeps its own. */
const newIds = z.record(elementId, elementId)
type NewIds = z.infer<typeof newIds>

interface Carried {
  readonly from: DraftBody
  readonly section: SectionId
  readonly to: DraftBody
  readonly as: SectionId
  readonly ids: NewIds
}

/** Writes a section with all that stands in it into another body, beside its order; says why it cannot. */
function carry({ from, section: id, to, as, ids }: Carried): EditProblem | undefined {
  const section = own(from.sections, id)
  if (!section) return 'section-gone'
  if (own(to.sections, as) || to.order.includes(as)) return 'section-taken'
  const under = idsUnder(from, section.children)
  const renamed = (each: ElementId): ElementId => own(ids, each) ?? each
  const taken = under.map(renamed)
  if (new Set(taken).size < taken.length || taken.some((each) => own(to.elements, each))) {
    return 'element-taken'
  }
  for (const each of under) {
    const element = from.elements[each]!
    const children = element.children?.map(renamed)
    to.elements[renamed(each)] = {
      ...element,
      id: renamed(each),
      ...(children ? { children } : {}),
    }
  }
  to.sections[as] = { ...section, id: as, children: section.children.map(renamed) }
  return undefined
}

/** Takes a section and all that stands in it out of a body, but for its place in the order. */
export function dropSection(body: DraftBody, id: SectionId): void {
  const section = own(body.sections, id)
  if (!section) return
  for (const each of idsUnder(body, section.children)) delete body.elements[each]
  delete body.sections[id]
}

const keepPartCommand = z.strictObject({
  type: z.literal('keepPart'),
  doc: pageId,
  section: sectionId,
  /** The id it has among the parts of the site. */
  part: sectionId,
  ids: newIds,
})

/** Makes a section of a page a part of the site, which stands where the section stood. */
export const keepPart = defineEdit<z.infer<typeof keepPartCommand>>({
  type: 'keepPart',
  schema: keepPartCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, section: id, part, ids }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const section = own(body.sections, id)
    if (!section) return 'section-gone'
    if (section.kind !== 'band') return 'not-a-part'
    if (body.order.includes(part)) return 'section-taken'
    const { body: parts } = draft.frame
    if (parts.order.length >= mostSections) return 'parts-full'
    const problem = carry({ from: body, section: id, to: parts, as: part, ids })
    if (problem) return problem
    parts.order.push(part)
    dropSection(body, id)
    body.order[body.order.indexOf(id)] = part
  },
  describe: ({ doc, section }, docs) =>
    `${own(docs.pages, doc)?.body.sections[section]?.name ?? section} kept as a part`,
})

const placePartCommand = z.strictObject({
  type: z.literal('placePart'),
  doc: docId,
  part: sectionId,
  before: sectionId.optional(),
})

/** Puts a part of the site among the sections of a page. */
export const placePart = defineEdit<z.infer<typeof placePartCommand>>({
  type: 'placePart',
  schema: placePartCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, part, before }) {
    if (doc === 'frame') return 'part-in-part'
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const found = own(draft.frame.body.sections, part)
    if (!found) return 'part-gone'
    if (found.kind !== 'band') return 'not-a-part'
    if (body.order.includes(part)) return own(body.sections, part) ? 'section-taken' : 'part-here'
    if (body.order.length >= mostSections) return 'sections-full'
    const at = before === undefined ? -1 : body.order.indexOf(before)
    body.order.splice(at < 0 ? body.order.length : at, 0, part)
  },
  describe: ({ doc, part }, { frame, pages }) =>
    `Part ${own(frame.body.sections, part)?.name ?? part} put on ${own(pages, doc)?.title ?? doc}`,
})

const loosenPartCommand = z.strictObject({
  type: z.literal('loosenPart'),
  doc: pageId,
  part: sectionId,
  /** The id it has among the sections of the page. */
  section: sectionId,
  ids: newIds,
})

/**
 * Gives a page a section of its own in place of a part, the same as that. In place of header
 * or footer it stands for these on this page.
 */
export const loosenPart = defineEdit<z.infer<typeof loosenPartCommand>>({
  type: 'loosenPart',
  schema: loosenPartCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, part, section, ids }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const found = own(draft.frame.body.sections, part)
    if (!found) return 'part-gone'
    const { kind } = found
    const at = body.order.indexOf(part)
    if (kind === 'band' && (at < 0 || own(body.sections, part))) return 'part-gone'
    if (kind !== 'band' && Object.values(body.sections).some((each) => each.kind === kind)) {
      return 'part-here'
    }
    if (kind !== 'band' && body.order.length >= mostSections) return 'sections-full'
    const problem = carry({ from: draft.frame.body, section: part, to: body, as: section, ids })
    if (problem) return problem
    if (kind === 'header') body.order.unshift(section)
    else if (kind === 'footer') body.order.push(section)
    else body.order[at] = section
  },
  describe: ({ doc, part }, { frame, pages }) =>
    `${own(frame.body.sections, part)?.name ?? part} made ${own(pages, doc)?.title ?? doc}’s own`,
})

const removePartCommand = z.strictObject({ type: z.literal('removePart'), part: sectionId })

/** Takes a part out of the site; where a page places it, nothing stands there any more. */
export const removePart = defineEdit<z.infer<typeof removePartCommand>>({
  type: 'removePart',
  schema: removePartCommand,
  apply({ frame: { body } }, { part }) {
    const found = own(body.sections, part)
    if (!found) return 'part-gone'
    if (found.kind !== 'band') return 'not-a-part'
    dropSection(body, part)
    body.order.splice(body.order.indexOf(part), 1)
  },
  describe: ({ part }, { frame }) => `Part ${own(frame.body.sections, part)?.name ?? part} removed`,
})
