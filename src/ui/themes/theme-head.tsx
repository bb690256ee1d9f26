'use client'

import { Ellipsis } from 'lucide-react'
import { memo } from 'react'
import type { ThemeId } from '@/core/site'
import { Menu, MenuItem, MenuLine } from '../kit'

export type ThemeDeed = 'rename' | 'duplicate' | 'left' | 'right' | 'remove'

interface ThemeHeadProps {
  readonly id: ThemeId
  readonly name: string
  readonly isFirst: boolean
  readonly isLast: boolean
  readonly onDeed: (theme: ThemeId, deed: ThemeDeed) => void
}

/** A theme's name at the head of its column, and what can be done with the theme as a whole. */
export const ThemeHead = memo(function ThemeHead(props: ThemeHeadProps) {
  const { id, name, isFirst, isLast, onDeed } = props
  const item = (deed: ThemeDeed, label: string, disabled = false) => (
    <MenuItem disabled={disabled} onSelect={() => onDeed(id, deed)}>
      {label}
    </MenuItem>
  )
  return (
    <th className="px-0.5 pb-1 text-left font-bold">
      <span className="flex items-center">
        <button
          type="button"
          data-head
          title="Choose the whole column; typing decides all of it"
          data-column={id}
          className="min-w-0 flex-1 truncate rounded px-1 py-0.5 text-left hover:bg-hover"
        >
          {name}
        </button>
        <Menu
          align="end"
          trigger={
            <button
              type="button"
              aria-label={`The theme ${name}`}
              className="flex size-6 items-center justify-center rounded hover:bg-hover"
            >
              <Ellipsis size={14} />
            </button>
          }
        >
          {item('rename', 'Rename …')}
          {item('duplicate', 'Duplicate')}
          {item('left', 'Move to the left', isFirst)}
          {item('right', 'Move to the right', isLast)}
          <MenuLine />
          {item('remove', 'Remove …', isFirst && isLast)}
        </Menu>
      </span>
    </th>
  )
})
