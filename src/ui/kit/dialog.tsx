'use client'

import { X } from 'lucide-react'
import { Dialog as Radix } from 'radix-ui'
import { useRef, type ReactNode } from 'react'
import { IconButton } from './button'

interface DialogProps {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  readonly title: string
  /** Whether it takes all the room there is. */
  readonly wide?: boolean
  readonly children: ReactNode
}

/** What has the focus, or for an item of a menu, which goes, the button that opened it. */
function holderOf(focused: Element | null): Element | null {
  const opener = focused?.closest('[role="menu"]')?.getAttribute('aria-labelledby')
  return opener ? document.getElementById(opener) : focused
}

/** What is marked to come first is focused as a dialog opens; focus goes back to where it was as it closes. */
function useFocus() {
  const before = useRef<Element>(null)
  const onOpenAutoFocus = (event: Event) => {
    before.current = holderOf(document.activeElement)
    const first = (event.currentTarget as HTMLElement).querySelector<HTMLElement>('[data-first]')
    if (!first) return
    event.preventDefault()
    first.focus()
  }
  const onCloseAutoFocus = (event: Event) => {
    event.preventDefault()
    if (before.current instanceof HTMLElement && before.current.isConnected) before.current.focus()
  }
  return { onOpenAutoFocus, onCloseAutoFocus }
}

export function Dialog({ open, onOpenChange, title, wide, children }: DialogProps) {
  const focus = useFocus()
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/35" />
        <Radix.Content
          aria-describedby={undefined}
          {...focus}
          className={`fixed top-1/2 left-1/2 z-50 max-w-[94vw] -translate-x-1/2 -translate-y-1/2 rounded-lg border border-edge bg-raised p-5 shadow-xl ${wide ? 'flex h-[90vh] w-[1180px] flex-col' : 'max-h-[85vh] w-[460px] overflow-auto'}`}
        >
          <div className="mb-3 flex items-center justify-between">
            <Radix.Title className="text-base font-bold">{title}</Radix.Title>
            <Radix.Close asChild>
              <IconButton label="Close">
                <X size={16} />
              </IconButton>
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
