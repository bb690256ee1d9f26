'use client'

import { useDroppable } from '@dnd-kit/core'
import { Plus } from 'lucide-react'
import { colorOf } from '@/core/color'
import { isInOrder, orderByLuminance } from '@/core/palette'
import { slotColor } from '@/core/resolve'
import { idFromName, mostSlots, slotId, slotsInOrder, type Palette, type SlotId } from '@/core/site'
import { loadNames } from '../color'
import { useEditor, useEditorState, useReach, type Editor } from '../editor'
import { Pan, type PanSize } from './pan'
import { PaletteMenu } from './palette-menu'

/** How pans are drawn, by how many there are: all of 64 are in sight, with fewer words. */
function sizeFor(count: number): PanSize {
  if (count <= 8) return 'large'
  return count <= 18 ? 'medium' : 'small'
}

/** Pans grow narrower where the window is: all are in sight beside the studies at 1024 px. */
const GRID: Readonly<Record<PanSize, string>> = {
  large: 'grid-rows-1 gap-x-2.5 auto-cols-[minmax(66px,96px)]',
  medium: 'grid-rows-2 gap-x-2 gap-y-1.5 auto-cols-[minmax(58px,88px)]',
  small: 'grid-rows-3 gap-x-0.5 gap-y-1 auto-cols-[minmax(25px,34px)]',
}

/** A new slot is a middle grey, named after it until the person says better. */
async function addSlot(editor: Editor): Promise<void> {
  const { palette } = editor.store.getState().docs.frame
  const names = slotsInOrder(palette).map(({ name }) => name)
  const value = '#c0c0c0'
  const { namer } = await loadNames()
  const name = namer(colorOf(value)!, names).slice(0, 60)
  const slot = slotId.parse(idFromName(name, palette.order, 'slot'))
  editor.carryOut({ type: 'addSlot', slot, name, value })
  editor.show({ openSlot: slot })
}

const heldColors = (palette: Palette) =>
  slotsInOrder(palette).map(({ id, value }) => ({
    id,
    ...(value ? { color: slotColor(palette, id) } : {}),
  }))

/** The strip of slots, always at hand under the stage. */
export function Tray() {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const open = useEditorState((state) => state.openSlot)
  const reach = useReach()
  const slots = slotsInOrder(palette)
  const held = heldColors(palette)
  const size = sizeFor(slots.length)
  const setOpen = (slot: SlotId | undefined) => editor.show({ openSlot: slot })
  return (
    <section aria-label="Palette" className="flex h-full min-w-0 gap-2.5 px-3.5 pt-2.5 pb-1">
      <div className="min-w-0 overflow-x-auto overflow-y-hidden py-0.5 pr-2 pl-0.5">
        <ol className={`grid w-full grid-flow-col ${GRID[size]}`}>
          {slots.map((slot, i) => (
            <Pan
              key={slot.id}
              slot={slot}
              size={size}
              number={i + 1}
              count={reach.slots[slot.id] ?? 0}
              startsGroup={slot.group !== undefined && slot.group !== slots[i - 1]?.group}
              open={open === slot.id}
              onOpenChange={(next) => setOpen(next ? slot.id : undefined)}
            />
          ))}
        </ol>
        {slots.length === 0 && (
          <p className="w-64 pt-3 text-soft">
            No slots yet. Add one, or take a way in at the right: a list, a picture, one colour, a
            ready-made palette.
          </p>
        )}
      </div>
      <AtTheEnd>
        <button
          type="button"
          onClick={() => void addSlot(editor)}
          disabled={slots.length >= mostSlots}
          className="flex h-9 w-11 items-center justify-center rounded-md border border-dashed border-edge-strong hover:bg-hover disabled:opacity-40"
          aria-label="Add a slot"
          title={slots.length >= mostSlots ? `A palette holds ${mostSlots} slots` : 'Add a slot'}
        >
          <Plus size={16} />
        </button>
        <PaletteMenu />
        {!isInOrder(held) && (
          <button
            type="button"
            onClick={() => editor.carryOut({ type: 'orderSlots', order: orderByLuminance(held) })}
            className="w-11 rounded text-[10.5px] leading-tight text-soft underline hover:text-ink"
            title="The slots are not in order from lightest to darkest. Put them in order."
          >
            light to dark
          </button>
        )}
      </AtTheEnd>
    </section>
  )
}

/** A slot dropped behind the last pan goes to the end. */
function AtTheEnd({ children }: { readonly children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: 'pan:end' })
  return (
    <div
      ref={setNodeRef}
      className={`flex shrink-0 flex-col gap-1 ${isOver ? 'border-l-2 border-strong' : ''}`}
    >
      {children}
    </div>
  )
}
