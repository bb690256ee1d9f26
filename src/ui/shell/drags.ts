import type { DragEndEvent, DragMoveEvent, DragStartEvent } from '@dnd-kit/core'
import { own, standingOn, type SectionId } from '@/core/site'
import { dropElement, moveSectionBefore } from '../content'
import type { Editor, Selection } from '../editor'
import { hitTest, paint, stageStore } from '../stage'
import { exchange } from '../studies'
import { moveSlotBefore } from '../tray'
import { readDragId, type DragId } from './drag-ids'

/** Puts a section in the place of the one that it is dropped on. */
function dropSection(editor: Editor, dragged: SectionId, over: DragId | undefined): void {
  if (over?.of !== 'band') return
  const { docs, pageId } = editor.store.getState()
  const { order = [] } = docs.pages[pageId]?.body ?? {}
  const [from, to] = [order.indexOf(dragged), order.indexOf(over.section)]
  if (from < 0 || to < 0 || from === to) return
  moveSectionBefore(editor, pageId, order[from]!, order[from < to ? to + 1 : to])
}

/** What of the outline something is dropped on: a section, or an element in it. */
function outlinePlace(editor: Editor, over: DragId | undefined) {
  if (over?.of === 'row') {
    return { doc: over.doc, section: over.section, element: over.element }
  }
  if (over?.of !== 'band') return undefined
  const { docs, pageId } = editor.store.getState()
  const placed = standingOn(docs.frame, docs.pages[pageId])
  const found = placed.find((each) => each.section.id === over.section)
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
  if (readDragId(active.id).of !== 'slot') return undefined
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
  const dragged = readDragId(event.active.id)
  const over = event.over ? readDragId(event.over.id) : undefined
  if (dragged.of === 'section') return dropSection(editor, dragged.section, over)
  if (dragged.of === 'element') {
    const place = outlinePlace(editor, over)
    return place && dropElement(editor, dragged, place)
  }
  if (dragged.of === 'give') {
    const { trial } = editor.store.getState()
    if (trial && over?.of === 'take') {
      editor.show({ trial: exchange(trial, over.index, dragged.index) })
    }
    return
  }
  if (dragged.of !== 'slot' || dragged.slot === 'end') return
  if (over?.of === 'pan') return moveSlotBefore(editor, dragged.slot, over.slot)
  const target = slotTarget(editor, event)
  editor.show({ dropTarget: target })
  if (target) paint(editor)
}
