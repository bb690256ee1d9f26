'use client'

import { useRouter } from 'next/navigation'
import { startTransition, useEffect, useState } from 'react'
import { Button } from '@/ui/kit'

type Cause = 'asking' | 'database' | 'server' | 'other'

/** Asks what is amiss, so that nothing is blamed that works. */
async function findCause(): Promise<Cause> {
  try {
    const response = await fetch('/api/health', { cache: 'no-store' })
    if (response.ok) return 'other'
    return response.status === 503 ? 'database' : 'server'
  } catch {
    return 'server'
  }
}

const WORDS: Readonly<Record<Cause, string>> = {
  asking: 'Looking what is amiss …',
  database:
    'The database does not answer. Nothing you stored is lost. If you started with ./easel demo, look whether it still runs.',
  server:
    'The server does not answer. Nothing you stored is lost. If you started with ./easel demo, look whether it still runs.',
  other:
    'Server and database answer, so something is amiss with this page itself. Nothing you stored is lost. Try again; if it stays, the server’s log says more.',
}

export default function ErrorPage({ reset }: { readonly reset: () => void }) {
  const router = useRouter()
  const [cause, setCause] = useState<Cause>('asking')
  // What failed was made on the server, so it is asked for anew before it is shown.
  const again = () =>
    startTransition(() => {
      router.refresh()
      reset()
    })
  useEffect(() => {
    void findCause().then(setCause)
  }, [])
  return (
    <main className="mx-auto grid max-w-md gap-4 p-16">
      <h1 className="text-xl font-bold">This page could not be loaded</h1>
      <p role="status">{WORDS[cause]}</p>
      <Button look="strong" onClick={again}>
        Try again
      </Button>
    </main>
  )
}
