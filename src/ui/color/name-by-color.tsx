'use client'

import { Tag } from 'lucide-react'
import { colorOf } from '@/core/color'
import { slotsInOrder, type Slot } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { IconButton } from '../kit'
import { renameSlot } from './rename-slot'
import { loadNames } from './color-names'

/** Names a slot after its colour: the nearest of a list of names that no other slot has. */
export function NameByColor({ slot }: { readonly slot: Slot }) {
  const editor = useEditor()
  const palette = useEditorState((state) => state.docs.frame.palette)
  const color = slot.value === null ? undefined : colorOf(slot.value)
  const name = async () => {
    if (!color) return
    const others = slotsInOrder(palette).filter(({ id }) => id !== slot.id)
    const { namer } = await loadNames()
    const found = namer(
      color,
      others.map((each) => each.name),
    )
    renameSlot(editor, slot, found.slice(0, 60))
  }
  return (
    <IconButton label="Name it after its colour" disabled={!color} onClick={() => void name()}>
      <Tag size={15} />
    </IconButton>
  )
}
