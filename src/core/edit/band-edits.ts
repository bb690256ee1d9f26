import * as z from 'zod'
import { sectionLayouts } from '../elements'
import {
  bodyOf,
  docId,
  elementSchema,
  mostSections,
  own,
  pageId,
  sectionId,
  sectionSchema,
  typedName,
  type DocId,
  type PageId,
  type SectionId,
  type SiteDocs,
} from '../site'
import { mostAtOnce, takeUp } from './element-edits'
import { defineEdit, draftBody, pagesIn } from './edit'
import { dropSection } from './part-edits'

const nameOf = (docs: SiteDocs, doc: DocId, section: SectionId): string => {
  const found = own(bodyOf(docs, doc)?.sections ?? {}, section)
  return (found ?? own(docs.frame.body.sections, section))?.name ?? section
}

/** A place among the sections of a page: before one of them, or last. */
const before = sectionId.optional()

/** Puts a section before another one; last where that is gone. */
function place(order: SectionId[], section: SectionId, next: SectionId | undefined): void {
  const at = next === undefined ? -1 : order.indexOf(next)
  order.splice(at < 0 ? order.length : at, 0, section)
}

const addSectionCommand = z.strictObject({
  type: z.literal('addSection'),
  doc: pageId,
  section: sectionSchema.extend({ name: typedName, kind: z.literal('band') }),
  elements: z.array(elementSchema).max(mostAtOnce),
  before,
})

/** Adds a section to a page, with all that stands in it. */
export const addSection = defineEdit<z.infer<typeof addSectionCommand>>({
  type: 'addSection',
  schema: addSectionCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, section, elements, before: next }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    if (own(body.sections, section.id) || body.order.includes(section.id)) return 'section-taken'
    if (!own(draft.frame.themes.byId, section.theme)) return 'theme-gone'
    if (body.order.length >= mostSections) return 'sections-full'
    const problem = takeUp(draft, body, section.children, elements)
    if (problem) return problem
    body.sections[section.id] = section
    place(body.order, section.id, next)
  },
  describe: ({ section, doc }, docs) =>
    `Section ${section.name} added to ${docs.pages[doc]?.title ?? doc}`,
})

const moveSectionCommand = z.strictObject({
  type: z.literal('moveSection'),
  doc: pageId,
  section: sectionId,
  before,
})

/** Puts a section, or a part that stands there, in another place of its page. */
export const moveSection = defineEdit<z.infer<typeof moveSectionCommand>>({
  type: 'moveSection',
  schema: moveSectionCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, section, before: next }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const at = body.order.indexOf(section)
    if (at < 0) return 'section-gone'
    if (next === section) return undefined
    body.order.splice(at, 1)
    place(body.order, section, next)
  },
  describe: ({ doc, section }, docs) => `Section ${nameOf(docs, doc, section)} moved`,
})

const removeSectionCommand = z.strictObject({
  type: z.literal('removeSection'),
  doc: pageId,
  section: sectionId,
})

/** Takes a section away, with all that stands in it; of a part, the place on this page alone. */
export const removeSection = defineEdit<z.infer<typeof removeSectionCommand>>({
  type: 'removeSection',
  schema: removeSectionCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, section: id }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const at = body.order.indexOf(id)
    if (at < 0) return 'section-gone'
    dropSection(body, id)
    body.order.splice(at, 1)
  },
  describe({ doc, section }, docs) {
    const isOwn = own(bodyOf(docs, doc)?.sections ?? {}, section)
    const name = nameOf(docs, doc, section)
    return isOwn
      ? `Section ${name} removed`
      : `Part ${name} taken from ${own(docs.pages, doc as PageId)?.title ?? doc}`
  },
})

const setSectionCommand = z.strictObject({
  type: z.literal('setSection'),
  doc: docId,
  section: sectionId,
  name: typedName.optional(),
  hidden: z.boolean().optional(),
  layout: z.enum(sectionLayouts).optional(),
  centered: z.boolean().optional(),
})

/** Says what a section is called, whether pages show it, and how what is in it is laid out. */
export const setSection = defineEdit<z.infer<typeof setSectionCommand>>({
  type: 'setSection',
  schema: setSectionCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, section: id, name, hidden, layout, centered }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const section = own(body.sections, id)
    if (!section) return 'section-gone'
    if (name !== undefined) section.name = name
    if (layout !== undefined) section.layout = layout
    if (hidden) section.hidden = true
    else if (hidden === false) delete section.hidden
    if (centered) section.centered = true
    else if (centered === false) delete section.centered
  },
  describe({ doc, section, name, hidden }, docs) {
    const told = `Section ${nameOf(docs, doc, section)}`
    if (name !== undefined) return `${told} renamed ${name}`
    if (hidden !== undefined) return `${told} ${hidden ? 'hidden' : 'shown again'}`
    return `${told} laid out anew`
  },
})
