'use client'

import { ChevronLeft, ChevronRight, Eraser, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { shadeScaleOf, slotsInOrder, type Slot } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { Button, Fold, Folds, IconButton, TextField } from '../kit'
import { counted } from '../words'
import { readName } from '../names'
import { EmptySlot, useEmptying } from './empty-slot'
import { moveSlot } from './move-slot'
import { Ramp } from './ramp'
import { RemoveSlot } from './remove-slot'
import { ShadeScaleFields } from './shade-scale'

function shadesWords({ shades, steps = {} }: Slot): string {
  const byHand = Object.keys(steps).length
  const parts = ['Tints and shades']
  if (shades) parts.push('its own')
  if (byHand > 0) parts.push(`${counted(byHand, 'step')} set by hand`)
  return parts.join(', ')
}

interface SlotProps {
  readonly slot: Slot
}

const usePalette = () => useEditorState((state) => state.docs.frame.palette)

/** What can be done with a slot besides its colour: its note, its group, its shades, its place, its end. */
export function SlotDuties({ slot }: SlotProps) {
  return (
    <>
      <NoteAndGroup slot={slot} />
      <Folds>
        <Fold value="shades" title={shadesWords(slot)}>
          <Shades slot={slot} />
        </Fold>
      </Folds>
      <PlaceAndEnd slot={slot} />
    </>
  )
}

function NoteAndGroup({ slot }: SlotProps) {
  const editor = useEditor()
  const palette = usePalette()
  const groups = [...new Set(slotsInOrder(palette).flatMap(({ group }) => group ?? []))]
  const setGroup = (typed: string) => {
    const read = readName(typed)
    if (typed.trim() && !read.ok) return read.wrong
    editor.carryOut({ type: 'groupSlot', slot: slot.id, group: read.ok ? read.name : null })
    return undefined
  }
  return (
    <div className="grid gap-2">
      <TextField
        label="What it is for"
        value={slot.note ?? ''}
        placeholder="divider lines"
        onCommit={(note) => {
          if (note.length > 200) return 'A note has at most 200 characters.'
          editor.carryOut({ type: 'noteSlot', slot: slot.id, note })
          return undefined
        }}
      />
      <TextField
        label={groups.length ? `Group: ${groups.join(', ')}, or a new one` : 'Group'}
        value={slot.group ?? ''}
        placeholder="Grounds"
        onCommit={setGroup}
      />
    </div>
  )
}

function Shades({ slot }: SlotProps) {
  const editor = useEditor()
  const palette = usePalette()
  return (
    <>
      <Ramp slot={slot} />
      <ShadeScaleFields
        scale={shadeScaleOf(palette, slot.id)}
        onChange={(scale) => editor.carryOut({ type: 'setShades', slot: slot.id, scale })}
      />
      {slot.shades && (
        <Button
          look="bare"
          onClick={() => editor.carryOut({ type: 'setShades', slot: slot.id, scale: null })}
        >
          As the palette has them
        </Button>
      )}
    </>
  )
}

/** Where it stands in the palette, and whether it goes on standing there. */
function PlaceAndEnd({ slot }: SlotProps) {
  const editor = useEditor()
  const { order } = usePalette()
  const [removing, setRemoving] = useState(false)
  const emptying = useEmptying(slot)
  const at = order.indexOf(slot.id)
  return (
    <>
      <div className="flex items-center gap-1 border-t border-edge pt-2">
        <IconButton
          label="Move to the left"
          disabled={at === 0}
          onClick={() => moveSlot(editor, slot.id, at - 1)}
        >
          <ChevronLeft size={16} />
        </IconButton>
        <IconButton
          label="Move to the right"
          disabled={at === order.length - 1}
          onClick={() => moveSlot(editor, slot.id, at + 1)}
        >
          <ChevronRight size={16} />
        </IconButton>
        <IconButton
          label="Empty the slot"
          disabled={slot.value === null}
          onClick={() => void emptying.begin()}
        >
          <Eraser size={15} />
        </IconButton>
        <Button look="bare" className="ml-auto" onClick={() => setRemoving(true)}>
          <Trash2 size={14} /> Remove …
        </Button>
      </div>
      <EmptySlot
        slot={slot}
        open={emptying.asked}
        onOpenChange={emptying.setAsked}
        onRemove={() => setRemoving(true)}
      />
      <RemoveSlot slot={slot} open={removing} onOpenChange={setRemoving} />
    </>
  )
}
