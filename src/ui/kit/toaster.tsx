'use client'

import { Toaster as Sonner } from 'sonner'

export function Toaster() {
  return (
    <Sonner
      // Over the foot of the map, beside the page and above the tray: nothing is worked on there.
      position="bottom-left"
      offset={{ left: 10, bottom: 134 }}
      closeButton
      toastOptions={{
        style: {
          fontFamily: 'var(--font-sans)',
          background: 'var(--strong)',
          color: 'var(--on-strong)',
          border: 'none',
          width: 300,
        },
      }}
    />
  )
}
