'use client'

import { useEffect, useRef, useSyncExternalStore, type ReactNode } from 'react'
import { createPortal } from 'react-dom'
import { Toaster } from 'sonner'

/** A message is a line: its words, what can be done about it, and the way to close it. */
const MESSAGE = {
  toast: 'flex w-full items-center gap-2 py-1 text-[13px]',
  title: 'leading-snug',
  error: 'font-semibold',
  actionButton:
    'h-6 shrink-0 rounded-md border border-edge-strong/60 bg-raised px-2 font-semibold hover:bg-hover',
  closeButton:
    'order-1 grid size-6 shrink-0 place-items-center rounded-md text-soft hover:bg-hover [&_svg]:size-3.5',
}

const END = 'foot-end'

/**
 * The foot of every page of the application: what was just done, or went wrong. It keeps room for
 * itself, so that messages cover nothing, and there is one for all pages, so that a message outlives
 * the way from one to the next. Empty, it takes no room.
 */
export function FootBar() {
  const foot = useRef<HTMLElement>(null)
  useEffect(() => {
    const root = document.documentElement
    const observer = new ResizeObserver(() =>
      root.style.setProperty('--foot-height', `${foot.current?.offsetHeight ?? 0}px`),
    )
    observer.observe(foot.current!)
    return () => observer.disconnect()
  }, [])
  return (
    <>
      <div aria-hidden className="h-(--foot-height)" />
      {/* In front of the shade behind a dialog: what a message says must be readable. */}
      <footer
        ref={foot}
        className="fixed inset-x-0 bottom-0 z-50 flex items-center gap-3 border-edge bg-panel px-3 max-[1100px]:px-2 has-[li,[data-foot]]:border-t"
      >
        <div className="message-line min-w-0 flex-1">
          <Toaster
            closeButton
            visibleToasts={3}
            toastOptions={{ unstyled: true, classNames: MESSAGE }}
          />
        </div>
        <div id={END} />
      </footer>
    </>
  )
}

/** What a page puts at the end of the foot, beside the messages. */
export function FootEnd({ children }: { readonly children: ReactNode }) {
  // The foot is there for as long as the window is; only the server knows none.
  const end = useSyncExternalStore(
    () => () => undefined,
    () => document.getElementById(END),
    () => null,
  )
  return (
    end &&
    createPortal(
      <div data-foot className="flex min-h-8 items-center gap-3">
        {children}
      </div>,
      end,
    )
  )
}
