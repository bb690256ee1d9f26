'use client'

import { usePathname } from 'next/navigation'
import { Toaster as Sonner } from 'sonner'

/** Messages stand where nothing is worked on: where one colours, over the foot of the map, beside the page and above the tray; else over the foot of the column at the right. */
export function Toaster() {
  const isPaint = /^\/sites\/[^/]+$/.test(usePathname())
  return (
    <Sonner
      position={isPaint ? 'bottom-left' : 'bottom-right'}
      offset={isPaint ? { left: 10, bottom: 134 } : { right: 12, bottom: 12 }}
      closeButton
      toastOptions={{
        style: {
          fontFamily: 'var(--font-sans)',
          background: 'var(--strong)',
          color: 'var(--on-strong)',
          border: 'none',
          width: 276,
        },
      }}
    />
  )
}
