import type { Metadata, Viewport } from 'next'
import { headers } from 'next/headers'
import type { ReactNode } from 'react'
import { FootBar } from '@/ui/kit'
import './globals.css'

export const metadata: Metadata = {
  title: 'Ample Easel',
  description: 'Colour a small-business website: palette, section themes, site-wide replacement.',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }

/** The chrome follows the machine's setting until the person chooses. */
const chrome = `try{var c=localStorage.getItem('easel.chrome')||(matchMedia('(prefers-color-scheme: dark)').matches?'dark':'light');document.documentElement.dataset.chrome=c}catch(e){}`

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <script nonce={nonce} dangerouslySetInnerHTML={{ __html: chrome }} />
      </head>
      <body>
        {children}
        <FootBar />
      </body>
    </html>
  )
}
