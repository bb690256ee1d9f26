'use client'

import { useDraggable } from '@dnd-kit/core'
import { Plus } from 'lucide-react'
import { isInOrder, orderByLuminance } from '@/core/palette'
import { slotColor } from '@/core/resolve'
import { idFromName, mostSlots, slotId, slotsInOrder, type Slot, type SlotId } from '@/core/site'
import { shadeOf, shadeSteps, SlotEditor } from '../color'
import { decisionHex, useEditor, useEditorState, useReach } from '../editor'
import { Popover } from '../kit'
import { counted } from '../words'
import { SlotDuties } from './slot-duties'

/** The strip of slots, always at hand under the stage. */
export function Tray() {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const reach = useReach()
  const open = useEditorState((state) => state.openSlot)
  const setOpen = (slot: SlotId | undefined) => editor.store.setState({ openSlot: slot })
  const slots = slotsInOrder(palette)
  const held = slots.map(({ id, value }) => ({
    id,
    ...(value ? { color: slotColor(palette, id) } : {}),
  }))
  const add = () => {
    const name = `Slot ${slots.length + 1}`
    const slot = slotId.parse(idFromName(name, palette.order, 'slot'))
    editor.dispatch({ type: 'addSlot', slot, name, value: '#c0c0c0' })
    setOpen(slot)
  }
  return (
    <section aria-label="Palette" className="flex h-full gap-2.5 overflow-x-auto px-3.5 pt-3 pb-1">
      {slots.map((slot, i) => (
        <Pan
          key={slot.id}
          slot={slot}
          number={i + 1}
          count={reach.slots[slot.id] ?? 0}
          open={open === slot.id}
          onOpenChange={(next) => setOpen(next ? slot.id : undefined)}
        />
      ))}
      <div className="flex shrink-0 flex-col gap-1">
        <button
          type="button"
          onClick={add}
          disabled={slots.length >= mostSlots}
          className="flex h-[66px] w-11 shrink-0 items-center justify-center rounded-md border border-dashed border-edge-strong hover:bg-hover"
          aria-label="Add a slot"
          title="Add a slot"
        >
          <Plus size={16} />
        </button>
        {!isInOrder(held) && (
          <button
            type="button"
            onClick={() => editor.dispatch({ type: 'orderSlots', order: orderByLuminance(held) })}
            className="w-11 rounded text-[10.5px] leading-tight text-soft underline hover:text-ink"
            title="The slots are not in order from lightest to darkest. Put them in order."
          >
            light to dark
          </button>
        )}
      </div>
    </section>
  )
}

interface PanProps {
  readonly slot: Slot
  readonly number: number
  readonly count: number
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

function Pan({ slot, number, count, open, onOpenChange }: PanProps) {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: slot.id })
  const show = () => editor.store.setState({ shownSlot: slot.id })
  const hide = () => editor.store.setState({ shownSlot: undefined })
  const hex = decisionHex(palette, { slot: slot.id })
  const trigger = (
    <button
      ref={setNodeRef}
      {...listeners}
      type="button"
      data-slot={slot.id}
      aria-label={`${slot.name}, ${slot.value ?? 'empty'}, colours ${counted(count, 'thing')}`}
      onPointerEnter={show}
      onPointerLeave={hide}
      onFocus={show}
      onBlur={hide}
      className={`w-[92px] shrink-0 touch-none rounded-md text-left ${isDragging ? 'opacity-50' : ''}`}
    >
      <span className="see-through block overflow-hidden rounded-md border border-black/25">
        <span className="block h-12" style={{ background: hex }} />
        <span className="flex h-3.5" aria-hidden>
          {shadeSteps.map((step) => (
            <span
              key={step}
              className="flex-1"
              style={{ background: decisionHex(palette, shadeOf(slot.id, step)) }}
            />
          ))}
        </span>
      </span>
      <span className="mt-1 flex items-baseline justify-between gap-1">
        <span className="truncate font-semibold">{slot.name}</span>
        <span className="code text-soft" title={`Colours ${counted(count, 'thing')} on this site`}>
          {count}
        </span>
      </span>
      <span className="code flex justify-between text-soft">
        <span className="truncate">{slot.value ?? 'empty'}</span>
        {number < 10 && <kbd className="text-[10px]">{number}</kbd>}
      </span>
    </button>
  )
  return (
    <Popover
      label={`Slot ${slot.name}`}
      side="top"
      open={open}
      onOpenChange={onOpenChange}
      trigger={trigger}
    >
      <div className="grid gap-3">
        <SlotEditor slot={slot} />
        <SlotDuties slot={slot} />
      </div>
    </Popover>
  )
}
