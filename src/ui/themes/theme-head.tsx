'use client'

import { Ellipsis } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { memo } from 'react'
import type { ThemeId } from '@/core/site'

export type ThemeDeed = 'rename' | 'duplicate' | 'left' | 'right' | 'remove'

interface ThemeHeadProps {
  readonly id: ThemeId
  readonly name: string
  readonly isFirst: boolean
  readonly isLast: boolean
  readonly onDeed: (theme: ThemeId, deed: ThemeDeed) => void
}

const ITEM = 'rounded px-2.5 py-1.5 outline-none data-highlighted:bg-hover data-disabled:opacity-40'

/** A theme's name at the head of its column, and what can be done with the theme as a whole. */
export const ThemeHead = memo(function ThemeHead(props: ThemeHeadProps) {
  const { id, name, isFirst, isLast, onDeed } = props
  const item = (deed: ThemeDeed, label: string, disabled = false) => (
    <DropdownMenu.Item className={ITEM} disabled={disabled} onSelect={() => onDeed(id, deed)}>
      {label}
    </DropdownMenu.Item>
  )
  return (
    <th className="px-0.5 pb-1 text-left font-bold">
      <span className="flex items-center">
        <button
          type="button"
          title="Choose the whole column"
          data-column={id}
          className="min-w-0 flex-1 truncate rounded px-1 py-0.5 text-left hover:bg-hover"
        >
          {name}
        </button>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger
            aria-label={`The theme ${name}`}
            className="flex size-6 items-center justify-center rounded hover:bg-hover"
          >
            <Ellipsis size={14} />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              className="z-40 min-w-40 rounded-lg border border-edge bg-raised p-1 font-normal shadow-xl"
            >
              {item('rename', 'Rename …')}
              {item('duplicate', 'Duplicate')}
              {item('left', 'Move to the left', isFirst)}
              {item('right', 'Move to the right', isLast)}
              <DropdownMenu.Separator className="my-1 h-px bg-edge" />
              {item('remove', 'Remove …', isFirst && isLast)}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </span>
    </th>
  )
})
