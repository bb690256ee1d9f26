import type { SlotId } from '@/core/site'
import type { Editor } from '../editor'

/** Puts a slot at a place of the order, 0 being the first; beyond the ends it stays within. */
export function moveSlot(editor: Editor, slot: SlotId, to: number): void {
  const { order } = editor.store.getState().docs.frame.palette
  const others = order.filter((id) => id !== slot)
  const at = Math.min(others.length, Math.max(0, to))
  editor.carryOut({ type: 'orderSlots', order: others.toSpliced(at, 0, slot) })
}

/** Puts a slot before another one, or at the end. */
export function moveSlotBefore(editor: Editor, slot: SlotId, before: SlotId | 'end'): void {
  if (slot === before) return
  const { order } = editor.store.getState().docs.frame.palette
  const others = order.filter((id) => id !== slot)
  moveSlot(editor, slot, before === 'end' ? others.length : others.indexOf(before))
}
