import { current } from 'immer'
import * as z from 'zod'
import { isSame, type Json } from '../changes'
import { isShown } from '../resolve'
import { kindOf, plainText, wordFacets, type Runs } from '../elements'
import { bodyOf, docId, elementId, own, type DocId, type ElementId, type SiteDocs } from '../site'
import { defineEdit, draftBody, pagesIn, type DraftBody, type EditProblem } from './edit'

/** The way to a part of an element's content: member names, and places in lists. */
const contentPath = z
  .array(z.union([z.string().regex(/^[a-z][A-Za-z]{0,23}$/), z.number().int().min(0).max(999)]))
  .max(4)
export type ContentPath = z.infer<typeof contentPath>

/** Some part of an element's content, written anew. */
export const rewording = {
  doc: docId,
  element: elementId,
  at: contentPath,
  /** What stood there when it was written; absent where nothing did. */
  was: z.unknown().optional(),
  /** What is to stand there; absent takes the member away. */
  to: z.unknown().optional(),
}
export type Rewording = z.infer<z.ZodObject<typeof rewording>>

const setContentCommand = z.strictObject({ type: z.literal('setContent'), ...rewording })

/** What lies at a path of a content; undefined where nothing does. */
export function contentAt(content: unknown, at: ContentPath): unknown {
  return at.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null && Object.hasOwn(value, key)
        ? (value as Record<string | number, unknown>)[key]
        : undefined,
    content,
  )
}

/** A content with another value at a path; undefined as a value takes the member away. */
export function withContentAt(content: unknown, at: ContentPath, to: unknown): unknown {
  const [key, ...rest] = at
  if (key === undefined) return to
  if (Array.isArray(content)) {
    return content.map((each, i) => (i === key ? withContentAt(each, rest, to) : each))
  }
  const { [key]: inner, ...others } = content as Record<string | number, unknown>
  const next = withContentAt(inner, rest, to)
  return next === undefined ? others : { ...others, [key]: next }
}

/** How an element is told: its kind and its first words. */
export function elementWords(docs: SiteDocs, doc: DocId, id: ElementId): string {
  const body = bodyOf(docs, doc)
  const element = body && own(body.elements, id)
  if (!element) return 'Element'
  const { label, title } = kindOf(element.kind)
  const words = title(element.content).replace(/\s+/g, ' ').trim()
  const short = words.length > 40 ? `${words.slice(0, 39).trimEnd()}…` : words
  return short ? `${label} “${short}”` : label
}

/**
 * Writes a part of an element's content anew. It says what it found there, so that words
 * which somebody else wrote meanwhile are not lost to it. Colours of words that are no
 * longer in the text go with them.
 */
export function reword(
  body: DraftBody,
  { element: id, at, was, to }: Rewording,
): EditProblem | undefined {
  const element = own(body.elements, id)
  if (!element) return 'element-gone'
  const content = current(element).content as unknown
  if (!isSame(contentAt(content, at) as Json, was as Json)) return 'text-changed'
  if (at.length > 1 && contentAt(content, at.slice(0, -1)) === undefined) return 'text-changed'
  const next = kindOf(element.kind).content.safeParse(withContentAt(content, at, to))
  if (!next.success) return 'content-unfit'
  element.content = next.data as typeof element.content
  const gone = wordFacets.filter((facet) => !isShown(facet, current(element)))
  for (const { key } of gone) delete element.looks?.[key]
  if (element.looks && Object.keys(element.looks).length === 0) delete element.looks
}

/** The words that are to stand there; undefined where it is something else, a table or a picture. */
export function wordsTyped({ to }: Rewording): string | undefined {
  if (typeof to === 'string') return to
  const isRuns = Array.isArray(to) && to.every((run) => typeof (run as Runs[0])?.text === 'string')
  return isRuns ? plainText(to as Runs) : undefined
}

export const setContent = defineEdit<z.infer<typeof setContentCommand>>({
  type: 'setContent',
  schema: setContentCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, command) {
    const body = draftBody(draft, command.doc)
    return body ? reword(body, command) : 'page-gone'
  },
  describe: ({ doc, element }, docs) => `${elementWords(docs, doc, element)} reworded`,
  typed: wordsTyped,
})
