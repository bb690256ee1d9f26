import { useState } from 'react'
import type { UseFilter } from '@/core/sweep'

const noFilter: UseFilter = {}

/** What the list of hits is narrowed to; another plan has other parts, so it holds for one plan alone. */
export function useNarrowed(plan: string | undefined) {
  const [narrowed, setNarrowed] = useState<{ plan?: string; filter: UseFilter }>({
    filter: noFilter,
  })
  const filter = narrowed.plan === plan ? narrowed.filter : noFilter
  return [filter, (next: UseFilter) => setNarrowed({ plan, filter: next })] as const
}
