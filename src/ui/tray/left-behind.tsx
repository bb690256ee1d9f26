'use client'

import Link from 'next/link'
import type { Slot } from '@/core/site'
import { useEditor, useEditorState, useInventory } from '../editor'
import { Notice } from '../kit'
import { counted } from '../words'

/** Loose colours that are what the slot was before: they did not go along when it changed, and can be swept to it. */
export function LeftBehind({ slot }: { readonly slot: Slot }) {
  const editor = useEditor()
  const siteId = useEditorState((state) => state.siteId)
  const { value } = useInventory(slot.was.length > 0)
  const entries = (value?.entries ?? []).filter(
    ({ near }) => near?.slot === slot.id && near.held && near.difference > 0,
  )
  if (entries.length === 0) return null
  const uses = entries.reduce((all, { count }) => all + count, 0)
  return (
    // In sight wherever the panel is scrolled to, and nothing moves as it comes.
    <Notice look="caution" className="sticky -bottom-4 z-10 bg-raised shadow-lg">
      {counted(uses, 'loose use')} {uses === 1 ? 'is' : 'are'} still as {slot.name} was and did not
      go along.{' '}
      <Link
        href={`/sites/${siteId}/sweep`}
        className="rounded font-semibold underline"
        onClick={() => editor.show({ sweepFrom: entries })}
      >
        Look at {uses === 1 ? 'it' : 'them'} in Sweep
      </Link>
    </Notice>
  )
}
