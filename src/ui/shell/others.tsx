'use client'

import { AppWindow } from 'lucide-react'
import { useEditor, useEditorState } from '../editor'
import { Popover } from '../kit'
import { counted } from '../words'

/** Who else has the site open, and where; nothing while one is alone. */
export function Others() {
  const { window: own } = useEditor()
  const present = useEditorState((state) => state.present)
  const others = present.filter(({ window }) => window !== own)
  if (others.length === 0) return null
  const told = counted(others.length, 'other window')
  return (
    <Popover
      label={`${told} on this site`}
      trigger={
        <button
          type="button"
          aria-label={`${told} on this site`}
          title={`${told} on this site`}
          className="flex h-8 items-center gap-1 rounded-md px-2 text-soft hover:bg-hover"
        >
          <AppWindow size={16} aria-hidden /> {others.length}
        </button>
      }
    >
      <div className="grid max-w-64 gap-1.5 p-1">
        <p className="font-semibold">{told} on this site</p>
        <ul className="grid gap-1">
          {others.map(({ window, name, page }) => (
            <li key={window} className="flex justify-between gap-4">
              <span>{name}</span>
              <span className="truncate text-soft">{page ? `on ${page}` : ''}</span>
            </li>
          ))}
        </ul>
        <p className="text-xs text-soft">What they change shows here as it lands.</p>
      </div>
    </Popover>
  )
}
