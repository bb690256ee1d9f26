import { notFound } from 'next/navigation'
import { exchangeOfs, type ExchangeOf } from '@/core/exchange'
import { ExchangeView } from '@/ui/exchange'

interface PageProps {
  readonly params: Promise<{ readonly of: string }>
}

export default async function ExchangeViewPage({ params }: PageProps) {
  const { of } = await params
  if (!(exchangeOfs as readonly string[]).includes(of)) notFound()
  return <ExchangeView key={of} of={of as ExchangeOf} />
}
