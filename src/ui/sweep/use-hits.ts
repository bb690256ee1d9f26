'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { DryRun, HitLine } from '@/core/payloads'
import { useEditor } from '../editor'
import { problemWords } from '../words'

/** Hits that are asked for at once. */
const WINDOW = 100

interface Known {
  readonly plan: string
  readonly hits: ReadonlyMap<number, HitLine>
  readonly failure?: string
}

/** The hits of a dry run, as far as they came into view. */
export function useHits(run: DryRun | undefined) {
  const { client } = useEditor()
  const plan = run?.plan ?? ''
  const [known, setKnown] = useState<Known>({ plan, hits: new Map() })
  const asked = useRef({ plan, windows: new Set<number>() })

  const need = useCallback(
    (from: number, to: number) => {
      if (!plan) return
      if (asked.current.plan !== plan) asked.current = { plan, windows: new Set() }
      const { windows } = asked.current
      for (let at = Math.floor(from / WINDOW); at * WINDOW < to; at += 1) {
        if (windows.has(at)) continue
        windows.add(at)
        void client.hits(plan, at * WINDOW, WINDOW).then((result) => {
          if (asked.current.plan !== plan) return
          if (!result.ok) windows.delete(at)
          setKnown((before) => {
            const hits = new Map(before.plan === plan ? before.hits : [])
            if (!result.ok) return { plan, hits, failure: problemWords(result.problem) }
            result.value.hits.forEach((hit, i) => hits.set(at * WINDOW + i, hit))
            return { plan, hits }
          })
        })
      }
    },
    [client, plan],
  )
  useEffect(() => need(0, 1), [need])
  // Until the first hits of a new run are there, those of the one before stay in sight.
  return { hits: known.hits, failure: known.plan === plan ? known.failure : undefined, need }
}
