'use client'

import { useCallback, useMemo, useRef, useState } from 'react'
import { firstHits, type DryRun, type HitLine } from '@/core/payloads'
import type { UseFilter } from '@/core/sweep'
import { useEditor } from '../editor'
import { problemWords } from '../words'

/** Hits that are asked for at once: a dry run brings the first of them. */
const WINDOW = firstHits

/** What was asked for beyond the first hits, of one plan. */
interface Known {
  readonly plan: string
  readonly hits: ReadonlyMap<number, HitLine>
  readonly failure?: string
}

/** Windows that come with the dry run. */
const [FIRST, NONE]: ReadonlyArray<readonly number[]> = [[0], []]

const nothing: ReadonlyMap<number, HitLine> = new Map()

/** The hits of a dry run that fit a filter, as far as they came into view. */
export function useHits(run: DryRun, filter: UseFilter) {
  const { client } = useEditor()
  const filtered = JSON.stringify(filter)
  const isWhole = filtered === '{}'
  // What is filtered otherwise is another list.
  const plan = `${run.plan} ${filtered}`
  const already = isWhole ? FIRST : NONE
  const [known, setKnown] = useState<Known>({ plan, hits: nothing })
  const asked = useRef({ plan, windows: new Set(already) })

  const need = useCallback(
    (from: number, to: number) => {
      if (asked.current.plan !== plan) asked.current = { plan, windows: new Set(already) }
      const { windows } = asked.current
      for (let at = Math.floor(from / WINDOW); at * WINDOW < to; at += 1) {
        if (windows.has(at)) continue
        windows.add(at)
        const where = JSON.parse(filtered) as UseFilter
        void client.hits(run.plan, at * WINDOW, WINDOW, where).then((result) => {
          if (asked.current.plan !== plan) return
          if (!result.ok) windows.delete(at)
          setKnown((before) => {
            const hits = new Map(before.plan === plan ? before.hits : nothing)
            if (!result.ok) return { plan, hits, failure: problemWords(result.problem) }
            result.value.hits.forEach((hit, i) => hits.set(at * WINDOW + i, hit))
            return { plan, hits }
          })
        })
      }
    },
    [client, plan, run.plan, filtered, already],
  )
  const more = known.plan === plan ? known : undefined
  const hits = useMemo(
    () => new Map([...(isWhole ? run.first : []).entries(), ...(more?.hits ?? nothing)]),
    [run, isWhole, more],
  )
  return { hits, failure: more?.failure, need }
}
