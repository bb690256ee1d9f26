'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import type { SlotUses } from '@/core/payloads'
import type { ColorDecision, Slot } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditor, useEditorState, useReach, tellUndoable } from '../editor'
import { Button, Dialog, Swatch } from '../kit'
import { decisionHex } from '../look'
import { counted, problemWords } from '../words'
import { countOf, usesTold, useSlotUses } from './slot-uses'

interface RemoveSlotProps {
  readonly slot: Slot
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

/** What the button does, with how many uses it changes. */
function removeWords({ name }: Slot, uses: SlotUses | undefined): string {
  const count = uses ? countOf(uses) : 0
  return count === 0 ? `Remove ${name}` : `Remove ${name}, replace ${counted(count, 'use')}`
}

/** Asks what takes the place of a slot; nothing may point at one that is gone. */
export function RemoveSlot({ slot, open, onOpenChange }: RemoveSlotProps) {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const reach = useReach()
  const [chosen, setChosen] = useState<ColorDecision>()
  const [busy, setBusy] = useState(false)
  const uses = useSlotUses(slot, open)
  const loose: ColorDecision = { value: decisionHex(palette, { slot: slot.id }) }
  const to = chosen ?? loose
  const remove = async () => {
    setBusy(true)
    const result = await editor.wide({ type: 'removeSlot', slot: slot.id, to })
    setBusy(false)
    if (!result.ok) return void toast.error(problemWords(result.problem))
    editor.show({ openSlot: undefined, shownSlot: undefined })
    onOpenChange(false)
    tellUndoable(editor, `${slot.name} removed.`)
  }
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title={`Remove ${slot.name}`}>
      <div className="grid gap-3">
        <p>
          {slot.name} colours {counted(reach.slots[slot.id] ?? 0, 'thing')} on this site
          {uses && usesTold(uses)}. What takes its place?
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
          {busy ? 'Removing …' : removeWords(slot, uses)}
        </Button>
      </div>
    </Dialog>
  )
}
