'use client'

import { Popover as Radix } from 'radix-ui'
import type { ReactNode } from 'react'

interface PopoverProps {
  readonly trigger: ReactNode
  readonly children: ReactNode
  readonly open?: boolean
  readonly onOpenChange?: (open: boolean) => void
  readonly side?: 'top' | 'bottom' | 'left' | 'right'
  readonly label: string
  readonly width?: number
  /** Where the focus goes when it closes, if not to what opened it. */
  readonly onClosed?: () => void
}

/** A small panel beside what opened it; it closes when the person turns elsewhere. */
export function Popover(props: PopoverProps) {
  const {
    trigger,
    children,
    open,
    onOpenChange,
    side = 'bottom',
    label,
    width = 280,
    onClosed,
  } = props
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Trigger asChild>{trigger}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          side={side}
          sideOffset={8}
          collisionPadding={10}
          aria-label={label}
          onCloseAutoFocus={(event) => {
            if (!onClosed) return
            event.preventDefault()
            onClosed()
          }}
          style={{ width }}
          className="z-40 max-h-(--radix-popover-content-available-height) overflow-auto rounded-lg border border-edge bg-raised p-3 shadow-xl"
        >
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
