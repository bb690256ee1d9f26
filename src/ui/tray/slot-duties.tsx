'use client'

import { ChevronLeft, ChevronRight, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import type { ColorDecision, Slot } from '@/core/site'
import { ColorChooser } from '../color'
import { decisionHex, useEditor, useEditorState, useReach } from '../editor'
import { Button, Dialog, IconButton, Swatch, TextField } from '../kit'
import { counted, problemWords } from '../words'

/** What can be done with a slot besides its colour: its note, its place, its end. */
export function SlotDuties({ slot }: { readonly slot: Slot }) {
  const editor = useEditor()
  const order = useEditorState((state) => state.docs.frame.palette.order)
  const [removing, setRemoving] = useState(false)
  const at = order.indexOf(slot.id)
  const move = (by: number) => {
    const others = order.filter((id) => id !== slot.id)
    others.splice(at + by, 0, slot.id)
    editor.dispatch({ type: 'orderSlots', order: others })
  }
  return (
    <>
      <TextField
        label="What it is for"
        value={slot.note ?? ''}
        placeholder="divider lines"
        onCommit={(note) => {
          if (note.length > 200) return 'A note has at most 200 characters.'
          editor.dispatch({ type: 'noteSlot', slot: slot.id, note })
          return undefined
        }}
      />
      <div className="flex items-center gap-1 border-t border-edge pt-2">
        <IconButton label="Move to the left" disabled={at === 0} onClick={() => move(-1)}>
          <ChevronLeft size={16} />
        </IconButton>
        <IconButton
          label="Move to the right"
          disabled={at === order.length - 1}
          onClick={() => move(1)}
        >
          <ChevronRight size={16} />
        </IconButton>
        <Button
          look="bare"
          className="ml-auto"
          disabled={order.length < 2}
          onClick={() => setRemoving(true)}
        >
          <Trash2 size={14} /> Remove …
        </Button>
      </div>
      <RemoveSlot slot={slot} open={removing} onOpenChange={setRemoving} />
    </>
  )
}

interface RemoveSlotProps {
  readonly slot: Slot
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

/** Asks what takes the place of a slot; nothing may point at one that is gone. */
function RemoveSlot({ slot, open, onOpenChange }: RemoveSlotProps) {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const reach = useReach()
  const [chosen, setChosen] = useState<ColorDecision>()
  const [busy, setBusy] = useState(false)
  const loose: ColorDecision = { value: decisionHex(palette, { slot: slot.id }) }
  const to = chosen ?? loose
  const remove = async () => {
    setBusy(true)
    const result = await editor.onServer((base) => editor.client.removeSlot(base, slot.id, to))
    setBusy(false)
    if (!result.ok) return void toast.error(problemWords(result.problem))
    editor.store.setState({ openSlot: undefined, shownSlot: undefined })
    onOpenChange(false)
    toast(`${slot.name} removed. Undo brings it back with all its uses.`)
  }
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title={`Remove ${slot.name}`}>
      <div className="grid gap-3">
        <p>
          {slot.name} colours {counted(reach.slots[slot.id] ?? 0, 'thing')} on this site. What takes
          its place?
        </p>
        <ColorChooser label="What takes its place" value={to} onChoose={setChosen} />
        <p className="flex items-center gap-2 text-soft">
          <Swatch color={decisionHex(palette, to)} />
          {'slot' in to
            ? 'All its uses are bound to this instead; shades stay shades.'
            : 'The colour stays where it is, loose: no slot will reach it any more.'}
        </p>
        <Button
          look="strong"
          disabled={busy || ('slot' in to && to.slot === slot.id)}
          onClick={() => void remove()}
        >
          {busy ? 'Removing …' : `Remove ${slot.name}`}
        </Button>
      </div>
    </Dialog>
  )
}
