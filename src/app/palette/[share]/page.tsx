import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { readShare } from '@/server'
import { SharedPaletteView } from '@/ui/carry'

export const dynamic = 'force-dynamic'

/** A link is for whom it was given to: no search engine, no address handed on. */
export const metadata: Metadata = {
  title: 'A palette',
  robots: { index: false, follow: false },
  referrer: 'no-referrer',
}

interface SharePageProps {
  readonly params: Promise<{ share: string }>
}

export default async function SharePage({ params }: SharePageProps) {
  const { share } = await params
  const result = await readShare(share)
  if (!result.ok) notFound()
  return <SharedPaletteView palette={result.value} />
}
