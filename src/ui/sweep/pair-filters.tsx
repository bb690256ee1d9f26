import { Plus } from 'lucide-react'
import type { ReactNode } from 'react'
import type { SweepRequest } from '@/core/sweep'
import { Button } from '../kit'

export type Paints = NonNullable<SweepRequest['paints']>[number]

const PAINTS: ReadonlyArray<readonly [Paints, string]> = [
  ['fill', 'fill'],
  ['text', 'text'],
  ['line', 'border'],
  ['shadow', 'shadow'],
]

export type Where = 'site' | 'page'

interface PairFiltersProps {
  /** Sweeps that are kept. */
  readonly recipes: ReactNode
  /** Begins another pair. */
  readonly onAdd: () => void
  readonly where: Where
  readonly pageTitle: string
  readonly paints: readonly Paints[]
  readonly onWhere: (where: Where) => void
  readonly onPaints: (paints: readonly Paints[]) => void
}

/** Where the pairs look, and at what. */
export function PairFilters({
  recipes,
  onAdd,
  where,
  pageTitle,
  paints,
  onWhere,
  onPaints,
}: PairFiltersProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-edge pb-3">
      <Button onClick={onAdd}>
        <Plus size={15} /> Pair
      </Button>
      {recipes}
      <select
        aria-label="Where"
        value={where}
        onChange={(event) => onWhere(event.target.value as Where)}
        className="h-8 max-w-64 rounded-md border border-edge-strong/60 bg-raised px-2 font-semibold"
      >
        <option value="site">Whole site</option>
        <option value="page">This page, {pageTitle}</option>
      </select>
      <div role="group" aria-label="What it paints" className="flex gap-3">
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4 accent-(--strong)"
            checked={paints.length === 0}
            onChange={() => onPaints([])}
          />
          all
        </label>
        {PAINTS.map(([paint, words]) => (
          <label key={paint} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-(--strong)"
              checked={paints.includes(paint)}
              onChange={(event) =>
                onPaints(
                  event.target.checked ? [...paints, paint] : paints.filter((p) => p !== paint),
                )
              }
            />
            {words}
          </label>
        ))}
      </div>
    </div>
  )
}
