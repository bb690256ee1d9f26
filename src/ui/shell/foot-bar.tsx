'use client'

import { Toaster } from 'sonner'
import { useEffect, useRef } from 'react'
import { useEditorState } from '../editor'
import { Others } from './others'

/** A message is a line: its words, what can be done about it, and the way to be rid of it. */
const MESSAGE = {
  toast: 'flex w-full items-center gap-2 py-1 text-[13px]',
  title: 'leading-snug',
  error: 'font-semibold',
  actionButton:
    'h-6 shrink-0 rounded-md border border-edge-strong/60 bg-raised px-2 font-semibold hover:bg-hover',
  closeButton:
    'order-1 grid size-6 shrink-0 place-items-center rounded-md text-soft hover:bg-hover [&_svg]:size-3.5',
}

/** The foot of every view: what was just done or went wrong, and whether all is stored. Messages have this room to themselves and never cover what is worked on. */
export function FootBar() {
  const foot = useRef<HTMLElement>(null)
  useEffect(() => {
    const root = document.documentElement
    const measure = () =>
      root.style.setProperty('--foot-height', `${foot.current?.offsetHeight ?? 0}px`)
    const observer = new ResizeObserver(measure)
    observer.observe(foot.current!)
    return () => {
      observer.disconnect()
      root.style.removeProperty('--foot-height')
    }
  }, [])
  return (
    // Over the shade of a dialog: what that says must be read.
    <footer
      ref={foot}
      className="relative z-50 flex min-h-8 shrink-0 items-center gap-3 border-t border-edge bg-panel px-3 max-[1100px]:px-2"
    >
      <div className="message-line min-w-0 flex-1">
        <Toaster
          closeButton
          visibleToasts={3}
          toastOptions={{ unstyled: true, classNames: MESSAGE }}
        />
      </div>
      <Others />
      <SaveMark />
    </footer>
  )
}

const SAVE_WORDS = {
  saved: 'Saved',
  saving: 'Saving …',
  waiting: 'Not stored yet, trying again …',
} as const

function SaveMark() {
  const saveState = useEditorState((state) => state.saveState)
  return (
    <span
      role="status"
      data-save={saveState}
      className={`shrink-0 text-xs whitespace-nowrap ${saveState === 'waiting' ? 'rounded border border-dashed border-ink px-1.5 py-0.5 font-semibold' : 'text-soft'}`}
    >
      {SAVE_WORDS[saveState]}
    </span>
  )
}
