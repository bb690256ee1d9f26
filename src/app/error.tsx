'use client'

import { Button } from '@/ui/kit'

export default function ErrorPage({ reset }: { readonly reset: () => void }) {
  return (
    <main className="mx-auto grid max-w-md gap-4 p-16">
      <h1 className="text-xl font-bold">This page could not be loaded</h1>
      <p>
        The database does not answer, or something else is amiss on the server. Nothing you stored
        is lost. If you started with <span className="code">./easel demo</span>, look whether it
        still runs.
      </p>
      <Button look="strong" onClick={reset}>
        Try again
      </Button>
    </main>
  )
}
