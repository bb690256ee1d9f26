'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import type { Slot } from '@/core/site'
import { useEditor, useReach, tellUndoable } from '../editor'
import { Button, Dialog } from '../kit'
import { counted, problemWords } from '../words'
import { usesTold, useSlotUses } from './slot-uses'

interface EmptySlotProps {
  readonly slot: Slot
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  /** Asks for what would take its place instead. */
  readonly onRemove: () => void
}

/** Asks before a slot that is in use is emptied: what it colours would have no colour. */
export function EmptySlot({ slot, open, onOpenChange, onRemove }: EmptySlotProps) {
  const editor = useEditor()
  const reach = useReach()
  const uses = useSlotUses(slot, open)
  const things = counted(reach.slots[slot.id] ?? 0, 'thing')
  const empty = () => {
    onOpenChange(false)
    emptySlot(editor, slot)
  }
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title={`Empty ${slot.name}`}>
      <div className="grid gap-3">
        <p>
          {slot.name} colours {things} on this site{uses && usesTold(uses)}. While the slot is empty
          they have none: fills are clear, words and lines cannot be seen. They stay bound, and have
          a colour again once the slot is filled.
        </p>
        <div className="flex flex-wrap gap-2">
          <Button look="strong" onClick={empty}>
            Empty it all the same
          </Button>
          <Button
            onClick={() => {
              onOpenChange(false)
              onRemove()
            }}
          >
            Give them another colour …
          </Button>
        </div>
      </div>
    </Dialog>
  )
}

function emptySlot(editor: ReturnType<typeof useEditor>, slot: Slot): void {
  if (!editor.carryOut({ type: 'setSlot', slot: slot.id, value: null })) return
  tellUndoable(editor, `${slot.name} is empty; it was ${slot.value ?? 'without a colour'}.`)
}

/** Empties a slot at once where nothing is bound to it on the whole site; else it is asked. */
export function useEmptying(slot: Slot) {
  const editor = useEditor()
  const reach = useReach()
  const [asked, setAsked] = useState(false)
  const begin = async () => {
    if (reach.slots[slot.id]) return setAsked(true)
    const uses = await editor.client.slotUses(slot.id)
    if (!uses.ok) return void toast.error(problemWords(uses.problem))
    if (Object.values(uses.value.places).some((count) => count > 0)) return setAsked(true)
    emptySlot(editor, slot)
  }
  return { asked, setAsked, begin }
}
