import { current } from 'immer'
import * as z from 'zod'
import { isSame, type Json } from '../changes'
import { kindOf } from '../elements'
import {
  docId,
  elementId,
  elementSchema,
  mostChildren,
  own,
  sectionId,
  type ElementId,
  type SiteElement,
} from '../site'
import { elementWords, reword, rewording, wordsTyped } from './content-edits'
import {
  defineEdit,
  draftBody,
  pagesIn,
  type DraftBody,
  type DraftDocs,
  type EditProblem,
} from './edit'

/** Most elements that come at once. */
export const mostAtOnce = 1000

/** Where an element is to stand: in a section or in an element that holds others, before another or last. */
export const seat = z.strictObject({
  section: sectionId,
  into: elementId.optional(),
  before: elementId.optional(),
})
export type Seat = z.infer<typeof seat>

/** The list that an element stands in. */
function listAround(body: DraftBody, id: ElementId): ElementId[] | undefined {
  const lists = [
    ...Object.values(body.sections).map(({ children }) => children),
    ...Object.values(body.elements).flatMap(({ children }) => (children ? [children] : [])),
  ]
  return lists.find((list) => list.includes(id))
}

/** The list of a seat, ready to take something up; or why there is none. */
function listAt(body: DraftBody, { section: id, into }: Seat): ElementId[] | EditProblem {
  const section = own(body.sections, id)
  if (!section) return 'section-gone'
  if (into === undefined) return section.children
  const holder = own(body.elements, into)
  if (!holder) return 'element-gone'
  if (!kindOf(holder.kind).holds) return 'holds-nothing'
  holder.children ??= []
  return holder.children
}

/** Puts elements into the list of a seat; last where what they were to stand before is gone from it. */
function seatInto(body: DraftBody, at: Seat, ids: readonly ElementId[]): EditProblem | undefined {
  const list = listAt(body, at)
  if (typeof list === 'string') return list
  if (list.length + ids.length > mostChildren) return 'elements-full'
  const before = at.before === undefined ? -1 : list.indexOf(at.before)
  list.splice(before < 0 ? list.length : before, 0, ...ids)
}

/** Takes elements up, each standing once under one of `top`; says why it cannot. */
export function takeUp(
  { frame }: DraftDocs,
  body: DraftBody,
  top: readonly ElementId[],
  elements: readonly SiteElement[],
): EditProblem | undefined {
  const under = [...top, ...elements.flatMap(({ children = [] }) => children)]
  const ids = elements.map(({ id }) => id)
  const isWhole = [...under].sort().join() === [...ids].sort().join()
  if (!isWhole || new Set(ids).size < ids.length) return 'malformed'
  if (ids.some((id) => own(body.elements, id))) return 'element-taken'
  if (elements.some(({ style }) => style && !own(frame.styles, style))) return 'style-gone'
  const isOther = ({ kind, style }: SiteElement) =>
    style !== undefined && own(frame.styles, style)!.kind !== kind
  if (elements.some(isOther)) return 'style-other-kind'
  if (elements.some(({ kind, children }) => children && !kindOf(kind).holds)) return 'holds-nothing'
  for (const element of elements)
    body.elements[element.id] = element as DraftBody['elements'][ElementId]
  // A circle of elements hangs on none of those on top.
  return idsUnder(body, top).length === ids.length ? undefined : 'malformed'
}

/** Elements with all that stands in them. */
export function idsUnder(body: DraftBody, top: readonly ElementId[]): ElementId[] {
  return top.flatMap((id) => [id, ...idsUnder(body, own(body.elements, id)?.children ?? [])])
}

const addElementsCommand = z.strictObject({
  type: z.literal('addElements'),
  doc: docId,
  to: seat,
  /** Those that stand in the seat itself; the others stand in them. */
  top: z.array(elementId).min(1).max(mostChildren),
  elements: z.array(elementSchema).min(1).max(mostAtOnce),
})

/** Adds elements with all that stands in them. */
export const addElements = defineEdit<z.infer<typeof addElementsCommand>>({
  type: 'addElements',
  schema: addElementsCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, to, top, elements }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    return takeUp(draft, body, top, elements) ?? seatInto(body, to, top)
  },
  describe({ top, elements }) {
    const first = elements.find(({ id }) => id === top[0])
    const label = first ? kindOf(first.kind).label : 'Element'
    return top.length > 1 ? `${top.length} elements added` : `${label} added`
  },
})

const continueWordsCommand = z.strictObject({
  type: z.literal('continueWords'),
  ...rewording,
  /** What goes on behind it, in order; nothing stands in these. */
  after: z.array(elementSchema).min(1).max(mostChildren),
})

/** Ends the words of an element and goes on in elements right behind it. */
export const continueWords = defineEdit<z.infer<typeof continueWordsCommand>>({
  type: 'continueWords',
  schema: continueWordsCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, command) {
    const { doc, element: id, after } = command
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const list = listAround(body, id)
    if (!list) return 'element-gone'
    if (list.length + after.length > mostChildren) return 'elements-full'
    const ids = after.map((each) => each.id)
    const problem = reword(body, command) ?? takeUp(draft, body, ids, after)
    if (problem) return problem
    list.splice(list.indexOf(id) + 1, 0, ...ids)
  },
  describe: ({ doc, element }, docs) => `${elementWords(docs, doc, element)} continued`,
  typed: (command) =>
    [wordsTyped(command), ...command.after.map(({ kind, content }) => kindOf(kind).title(content))]
      .filter(Boolean)
      .join('\n'),
})

const joinWordsCommand = z.strictObject({
  type: z.literal('joinWords'),
  ...rewording,
  /** The element right behind, whose words come with it. */
  behind: elementId,
  /** What was found there. */
  behindWas: z.unknown(),
})

/** Takes the words of the element right behind into another one; what was behind goes. */
export const joinWords = defineEdit<z.infer<typeof joinWordsCommand>>({
  type: 'joinWords',
  schema: joinWordsCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, command) {
    const { doc, element: id, behind, behindWas } = command
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const list = listAround(body, id)
    const gone = own(body.elements, behind)
    if (!list || !gone) return 'element-gone'
    if (list[list.indexOf(id) + 1] !== behind) return 'text-changed'
    if (!isSame(current(gone).content as Json, behindWas as Json)) return 'text-changed'
    const problem = reword(body, command)
    if (problem) return problem
    list.splice(list.indexOf(behind), 1)
    for (const each of idsUnder(body, [behind])) delete body.elements[each]
  },
  describe: ({ doc, element, behind }, docs) =>
    `${elementWords(docs, doc, behind)} joined to ${elementWords(docs, doc, element)}`,
  typed: wordsTyped,
})

const moveElementCommand = z.strictObject({
  type: z.literal('moveElement'),
  doc: docId,
  element: elementId,
  to: seat,
})

/** Puts an element, with all that stands in it, in another place of its page. */
export const moveElement = defineEdit<z.infer<typeof moveElementCommand>>({
  type: 'moveElement',
  schema: moveElementCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, element: id, to }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const list = listAround(body, id)
    if (!list) return 'element-gone'
    if (to.into && idsUnder(body, [id]).includes(to.into)) return 'into-itself'
    if (to.before === id) return undefined
    list.splice(list.indexOf(id), 1)
    return seatInto(body, to, [id])
  },
  describe: ({ doc, element }, docs) => `${elementWords(docs, doc, element)} moved`,
})

const removeElementCommand = z.strictObject({
  type: z.literal('removeElement'),
  doc: docId,
  element: elementId,
})

/** Takes an element away, with all that stands in it. */
export const removeElement = defineEdit<z.infer<typeof removeElementCommand>>({
  type: 'removeElement',
  schema: removeElementCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, element: id }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const list = listAround(body, id)
    if (!list) return 'element-gone'
    list.splice(list.indexOf(id), 1)
    for (const each of idsUnder(body, [id])) delete body.elements[each]
  },
  describe: ({ doc, element }, docs) => `${elementWords(docs, doc, element)} removed`,
})

const wrapElementCommand = z.strictObject({
  type: z.literal('wrapElement'),
  doc: docId,
  element: elementId,
  holder: elementSchema,
})

/** Puts an element into a new one that takes its place: a card, a row. */
export const wrapElement = defineEdit<z.infer<typeof wrapElementCommand>>({
  type: 'wrapElement',
  schema: wrapElementCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, { doc, element: id, holder }) {
    const body = draftBody(draft, doc)
    if (!body) return 'page-gone'
    const list = listAround(body, id)
    if (!list) return 'element-gone'
    if (!kindOf(holder.kind).holds) return 'holds-nothing'
    if (holder.children?.length) return 'malformed'
    const problem = takeUp(draft, body, [holder.id], [holder])
    if (problem) return problem
    list[list.indexOf(id)] = holder.id
    body.elements[holder.id]!.children = [id]
  },
  describe: ({ doc, element, holder }, docs) =>
    `${elementWords(docs, doc, element)} put into a ${kindOf(holder.kind).label.toLowerCase()}`,
})
