'use client'

import { Toaster as Sonner } from 'sonner'

export function Toaster() {
  return (
    <Sonner
      position="bottom-center"
      toastOptions={{
        style: {
          fontFamily: 'var(--font-sans)',
          background: 'var(--strong)',
          color: 'var(--on-strong)',
          border: 'none',
        },
      }}
    />
  )
}
