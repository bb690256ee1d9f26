'use client'

import { useMemo, useRef } from 'react'
import { slotMeetings } from '@/core/resolve'
import type { Slot } from '@/core/site'
import { readName } from '../names'
import { useEditor, useEditorState } from '../editor'
import { TextField } from '../kit'
import { slotPainter, stageStore, unpaintSlot } from '../stage'
import { ColorEditor } from './later-editor'
import { renameSlot } from './rename-slot'
import { NameByColor } from './name-by-color'
import { readsOnOf } from './reads-on'
import { useResting } from './use-resting'

/**
 * Edits one slot. While a colour is dragged only the stage's custom properties
 * change; the edit itself is made when the pointer rests.
 */
export function SlotEditor({ slot }: { readonly slot: Slot }) {
  const editor = useEditor()
  const { palette, themes } = useEditorState((state) => state.docs.frame)
  const readsOn = useMemo(
    () => readsOnOf(slotMeetings(palette, themes, slot.id)),
    [palette, themes, slot.id],
  )
  const paint = useRef<ReturnType<typeof slotPainter>>(undefined)

  const keep = (value: string) => {
    paint.current = undefined
    editor.carryOut({ type: 'setSlot', slot: slot.id, value })
    const stage = stageStore.getState().stage
    // The stylesheet has the new value only after the next drawing; until then the inline one stays.
    if (stage) requestAnimationFrame(() => unpaintSlot(stage.document, slot.id))
  }
  const [dragged, rest, take] = useResting(keep)
  const drag = (value: string) => {
    const { docs, pageId } = editor.store.getState()
    const stage = stageStore.getState().stage
    if (stage) paint.current ??= slotPainter(stage.document, docs, pageId)
    paint.current?.(slot.id, value)
    rest(value)
  }
  const rename = (typed: string) => {
    const read = readName(typed)
    if (!read.ok) return read.wrong
    renameSlot(editor, slot, read.name)
    return undefined
  }
  return (
    <div className="grid gap-2.5">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-1">
        <TextField label="Name" value={slot.name} onCommit={rename} />
        <NameByColor slot={slot} />
      </div>
      <ColorEditor
        value={dragged ?? slot.value ?? ''}
        onDrag={drag}
        onCommit={take}
        readsOn={readsOn}
      />
    </div>
  )
}
