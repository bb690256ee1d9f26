import { Plus } from 'lucide-react'
import { usePage } from '../editor'
import { Button } from '../kit'
import { draftFaults } from './draft'
import { PairFilters } from './pair-filters'
import { PairRow } from './pair-row'
import type { Pairs } from './use-pairs'

/** The pairs, each with its fault where it has one, and where they look. */
export function PairsPane({ pairs: drawn }: { readonly pairs: Pairs }) {
  const { pairs, where, setWhere, paints, setPaints, add, change, remove } = drawn
  const pageTitle = usePage()?.title ?? ''
  const faults = draftFaults(pairs)
  if (pairs.length === 0) return <NoPairs onAdd={add} />
  return (
    <>
      <div className="-m-1.5 grid max-h-[45%] shrink-0 gap-3 overflow-y-auto p-1.5">
        {pairs.map((pair) => (
          <PairRow
            key={pair.id}
            pair={pair}
            fault={faults.get(pair.id)}
            onChange={change}
            onRemove={() => remove(pair)}
          />
        ))}
      </div>
      <PairFilters
        onAdd={add}
        where={where}
        pageTitle={pageTitle}
        paints={paints}
        onWhere={setWhere}
        onPaints={setPaints}
      />
    </>
  )
}

function NoPairs({ onAdd }: { readonly onAdd: () => void }) {
  return (
    <div className="m-auto max-w-sm text-center">
      <h2 className="text-[15px] font-bold">Replace a colour on the whole site</h2>
      <p className="mt-2 text-soft">
        Choose a colour on the left, or several: all pairs run at once, so two that swap do swap.
        Nothing is written until you say so.
      </p>
      <Button className="mt-4" onClick={onAdd}>
        <Plus size={16} /> A pair of any colours
      </Button>
    </div>
  )
}
