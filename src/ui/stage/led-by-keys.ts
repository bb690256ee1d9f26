import type { KeyboardEvent } from 'react'
import type { SlotId } from '@/core/site'
import type { Editor } from '../editor'
import { shaded, turned } from './brush'
import { paint } from './paint'
import { stepTo, walkable } from './walk'

/** Leads a slot in hand over the page by keys; whether the key was for it. */
export function ledByKeys(
  editor: Editor,
  { key, altKey, ctrlKey, metaKey }: KeyboardEvent,
): boolean {
  const { brush, dropTarget, docs, pageId } = editor.store.getState()
  if (!brush?.byKeys || !dropTarget || altKey || ctrlKey || metaKey) return false
  const { step } = docs.frame.palette.shades
  if (key === 'Escape') editor.show({ brush: undefined, dropTarget: undefined })
  else if (key === 'Enter') paint(editor)
  else if (key === ' ') editor.show({ brush: turned(brush) })
  else if (key === '+' || key === '-') {
    editor.show({ brush: shaded(brush, key === '+' ? 1 : -1, step) })
  } else {
    const next = stepTo(walkable(docs, pageId), dropTarget, key)
    if (!next) return false
    editor.show({ dropTarget: next, brush: { ...brush, further: 0 } })
  }
  return true
}

/** Takes a slot in hand, to be led over the page by keys. */
export function takeInHand(editor: Editor, slot: SlotId): void {
  const { docs, pageId, selection } = editor.store.getState()
  const target = selection ?? walkable(docs, pageId)[0]
  if (!target) return
  editor.show({
    brush: { slot, shade: 0, further: 0, byKeys: true },
    dropTarget: target,
    middle: 'page',
  })
  document.querySelector<HTMLElement>('[data-testid=stage]')?.focus()
}
