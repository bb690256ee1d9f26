'use client'

import { useMemo, useState } from 'react'
import { fitsFilter, type Cell, type UseFilter } from '@/core/sweep'
import { facetWords } from './facet-words'

/** What hits are counted by beside their places. */
const FACETS = [
  ['doc', 'By page'],
  ['object', 'By kind of thing'],
  ['paints', 'By what it paints'],
  ['state', 'By state'],
] as const
type Facet = (typeof FACETS)[number][0]

/** Lines of one facet that are shown before one asks for more; and the most that are shown at all. */
const [FEW, MOST] = [4, 300]

interface BreakdownProps {
  readonly cells: readonly Cell[]
  readonly filter: UseFilter
  readonly titleOf: (doc: string) => string
  readonly onFilter: (filter: UseFilter) => void
}

/** The same filter without one of its members. */
function without(filter: UseFilter, facet: Facet): UseFilter {
  const { [facet]: _gone, ...rest } = filter
  return rest
}

/** The hits of a dry run counted in several ways; each line narrows the list to what it counts. */
export function Breakdown({ cells, filter, titleOf, onFilter }: BreakdownProps) {
  return (
    <div className="grid gap-3">
      {FACETS.map(([facet, heading]) => (
        <FacetList
          key={facet}
          facet={facet}
          heading={heading}
          cells={cells}
          filter={filter}
          words={facet === 'doc' ? titleOf : facetWords[facet]}
          onFilter={onFilter}
        />
      ))}
    </div>
  )
}

interface FacetListProps extends Omit<BreakdownProps, 'titleOf'> {
  readonly facet: Facet
  readonly heading: string
  readonly words: (value: string) => string
}

function FacetList({ facet, heading, cells, filter, words, onFilter }: FacetListProps) {
  const [isOpen, setOpen] = useState(false)
  const counts = useMemo(() => {
    const others = without(filter, facet)
    const counted = new Map<string, number>()
    for (const cell of cells) {
      const value = cell[facet]
      if (value === undefined || !fitsFilter(others, cell)) continue
      counted.set(value, (counted.get(value) ?? 0) + cell.count)
    }
    return [...counted].sort(([, a], [, b]) => b - a)
  }, [cells, facet, filter])
  const chosen = filter[facet]
  if (counts.length < 2 && chosen === undefined) return null
  const shown = counts.slice(0, isOpen ? MOST : FEW)
  const isHidden = chosen !== undefined && !shown.some(([value]) => value === chosen)
  const lines = isHidden ? [...shown, ...counts.filter(([value]) => value === chosen)] : shown
  const more = counts.length - shown.length
  return (
    <section aria-label={heading} className="grid gap-0.5">
      <h3 className="text-xs text-soft">{heading}</h3>
      {lines.map(([value, count]) => (
        <button
          key={value}
          type="button"
          aria-pressed={chosen === value}
          onClick={() =>
            onFilter(chosen === value ? without(filter, facet) : { ...filter, [facet]: value })
          }
          className="flex min-h-6 items-center gap-2 rounded px-1.5 text-left hover:bg-hover aria-pressed:bg-strong aria-pressed:text-on-strong"
        >
          <span className="min-w-0 flex-1 truncate" title={words(value)}>
            {words(value)}
          </span>
          <span className="code">{count.toLocaleString('en-GB')}</span>
        </button>
      ))}
      {more > 0 && !isOpen && (
        <button
          type="button"
          onClick={() => setOpen(true)}
          className="min-h-6 rounded px-1.5 text-left text-xs text-soft underline hover:text-ink"
        >
          {more} more
        </button>
      )}
      {more > 0 && isOpen && (
        <p className="px-1.5 text-xs text-soft">
          {more} with fewer uses are not shown; narrow the rest to see them.
        </p>
      )}
    </section>
  )
}
