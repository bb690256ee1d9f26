import { toast } from 'sonner'
import type { Seat } from '@/core/edit'
import { kindOf } from '@/core/elements'
import {
  bodyOf,
  own,
  seatOf,
  standingOn,
  type DocId,
  type ElementId,
  type SectionId,
} from '@/core/site'
import type { Editor, EditorState, Selection } from '../editor'
import { tell } from './tell'

const seat = (
  section: SectionId,
  into: ElementId | undefined,
  before: ElementId | undefined,
): Seat => ({
  section,
  ...(into ? { into } : {}),
  ...(before ? { before } : {}),
})

/**
 * The place a step away: beside its neighbour; at the end of what holds it, out of that; at the
 * end of its section, in the next band of the page itself. Undefined where nothing lies beyond:
 * what is in a header, a footer or a part stays there.
 */
export function stepSeat(
  { docs, pageId }: Pick<EditorState, 'docs' | 'pageId'>,
  { doc, section }: Selection,
  element: ElementId,
  by: 1 | -1,
): Seat | undefined {
  const body = bodyOf(docs, doc)
  if (!body) return undefined
  const { into, list, at } = seatOf(body, section, element)
  if (list[at + by] !== undefined) return seat(section, into, list[by > 0 ? at + 2 : at - 1])
  if (into) {
    const around = seatOf(body, section, into)
    return seat(section, around.into, by > 0 ? around.list[around.at + 1] : into)
  }
  const bands = standingOn(docs.frame, docs.pages[pageId])
    .filter((each) => each.doc === pageId && each.section.kind === 'band' && !each.section.hidden)
    .map((each) => each.section)
  const here = bands.findIndex(({ id }) => doc === pageId && id === section)
  const next = here < 0 ? undefined : bands[here + by]
  return next && seat(next.id, undefined, by > 0 ? next.children[0] : undefined)
}

/** Puts an element into a seat of its document, and keeps it chosen there. */
export function moveElementTo(
  editor: Editor,
  { doc, property }: Pick<Selection, 'doc' | 'property'>,
  element: ElementId,
  to: Seat,
): void {
  const problem = editor.dispatch({ type: 'moveElement', doc, element, to })
  if (!tell('Not moved', problem)) return
  const { section } = to
  editor.show({ selection: { doc, section, element, ...(property ? { property } : {}) } })
}

/** What an element is dropped on: a section, or an element in one. */
export interface DropPlace {
  readonly doc: DocId
  readonly section: SectionId
  readonly element?: ElementId
}

/**
 * Puts an element where it is dropped: on a section or on what holds others, last in it; on
 * another element, right before that.
 */
export function dropElement(
  editor: Editor,
  from: { readonly doc: DocId; readonly element: ElementId },
  { doc, section, element: on }: DropPlace,
): void {
  if (from.element === on) return
  if (from.doc !== doc) {
    toast.error('Not moved: what is in a part or in the header stays there, for all pages.')
    return
  }
  const body = bodyOf(editor.store.getState().docs, doc)
  const target = on && body && own(body.elements, on)
  if (!body || (on && !target)) return
  const to = !target
    ? seat(section, undefined, undefined)
    : kindOf(target.kind).holds
      ? seat(section, target.id, undefined)
      : seat(section, seatOf(body, section, target.id).into, target.id)
  moveElementTo(editor, from, from.element, to)
}
