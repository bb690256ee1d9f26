import type { DragEndEvent, DragMoveEvent, DragStartEvent } from '@dnd-kit/core'
import {
  own,
  slotId,
  standingOn,
  type DocId,
  type ElementId,
  type SectionId,
  type SlotId,
} from '@/core/site'
import { dropElement, moveSectionBefore } from '../content'
import type { Editor, Selection } from '../editor'
import { hitTest, paint, stageStore } from '../stage'
import { exchange } from '../studies'
import { moveSlotBefore } from '../tray'

/** What is dragged: a slot by its id, or `give:N`, the colour N of what is tried. */
const givenColor = (id: string) => /^give:(\d+)$/.exec(id)?.[1]

/** `section:ID`, a section of the page by its id, from the map or from beside the page. */
const draggedSection = (id: string | number) => /^section:([^:]+)/.exec(String(id))?.[1]

/** Puts a section in the place of the one that it is dropped on. */
function dropSection(editor: Editor, dragged: string, over: string): void {
  const { docs, pageId } = editor.store.getState()
  const { order = [] } = docs.pages[pageId]?.body ?? {}
  const target = /^band:([^:]+)/.exec(over)?.[1]
  const [from, to] = [order.indexOf(dragged as SectionId), order.indexOf(target as SectionId)]
  if (from < 0 || to < 0 || from === to) return
  moveSectionBefore(editor, pageId, order[from]!, order[from < to ? to + 1 : to])
}

/** `element:DOC/ID`, an element by its document and its id, from the outline. */
function draggedElement(id: string | number) {
  const [, doc, element] = /^element:([^/]+)\/(.+)$/.exec(String(id)) ?? []
  return doc && element ? { doc: doc as DocId, element: element as ElementId } : undefined
}

/** What of the outline something is dropped on: `band:SECTION`, or `row:DOC/SECTION/ELEMENT`. */
function outlinePlace(editor: Editor, over: string) {
  const [, doc, section, element] = /^row:([^/]+)\/([^/]+)\/(.+)$/.exec(over) ?? []
  if (element) {
    return { doc: doc as DocId, section: section as SectionId, element: element as ElementId }
  }
  const band = /^band:([^:]+)/.exec(over)?.[1]
  const { docs, pageId } = editor.store.getState()
  const found = standingOn(docs.frame, docs.pages[pageId]).find((each) => each.section.id === band)
  return found && { doc: found.doc, section: found.section.id }
}

/** What lies on the stage under the pointer that drags a slot. */
export function slotTarget(
  editor: Editor,
  { active, activatorEvent, delta }: DragMoveEvent | DragEndEvent,
): Selection | undefined {
  const stage = stageStore.getState().stage
  const overlay = document.querySelector<HTMLElement>('[data-stage-scale]')
  if (!stage || !overlay || !(activatorEvent instanceof PointerEvent)) return undefined
  const { id } = active
  if (givenColor(String(id)) !== undefined || draggedSection(id) || draggedElement(id)) {
    return undefined
  }
  const [x, y] = [activatorEvent.clientX + delta.x, activatorEvent.clientY + delta.y]
  const bounds = overlay.getBoundingClientRect()
  const view = overlay.closest('[data-testid=stage-scroll]')!.getBoundingClientRect()
  if (x < view.left || x > view.right || y < view.top || y > view.bottom) return undefined
  const scale = Number(overlay.dataset.stageScale)
  const { docs } = editor.store.getState()
  return hitTest(stage.document, docs, (x - bounds.left) / scale, (y - bounds.top) / scale)
    ?.selection
}

/** Begins a drag: a slot is in hand from then on, or the shade of it that the pointer took. */
export function lift(editor: Editor, { active, activatorEvent }: DragStartEvent): void {
  const slot = own(editor.store.getState().docs.frame.palette.slots, String(active.id))
  if (!slot) return
  const taken = activatorEvent.target instanceof Element && activatorEvent.target
  const shade = Number((taken && taken.getAttribute('data-shade')) || 0)
  editor.show({ brush: { slot: slot.id, shade, further: 0 } })
}

/** Ends a drag: a section or an element in the outline, a colour onto a slot's row, a slot onto another pan, or a slot onto the stage. */
export function drop(editor: Editor, event: DragEndEvent): void {
  const dragged = String(event.active.id)
  const over = event.over ? String(event.over.id) : ''
  const section = draggedSection(dragged)
  if (section) return dropSection(editor, section, over)
  const element = draggedElement(dragged)
  if (element) {
    const place = outlinePlace(editor, over)
    return place && dropElement(editor, element, place)
  }
  const color = givenColor(dragged)
  const { trial } = editor.store.getState()
  if (color !== undefined) {
    const row = /^take:(\d+)$/.exec(over)?.[1]
    if (trial && row !== undefined) {
      editor.show({ trial: exchange(trial, Number(row), Number(color)) })
    }
    return
  }
  const slot = dragged as SlotId
  const before = /^pan:(.+)$/.exec(over)?.[1]
  if (before) return moveSlotBefore(editor, slot, before === 'end' ? 'end' : slotId.parse(before))
  const target = slotTarget(editor, event)
  editor.show({ dropTarget: target })
  if (target) paint(editor)
}
