import { Plus } from 'lucide-react'
import { usePage } from '../editor'
import { Button } from '../kit'
import { draftFaults } from './draft'
import { PairFilters } from './pair-filters'
import { PairRow } from './pair-row'
import { Recipes } from './recipes'
import type { Pairs } from './use-pairs'

/** The pairs, each with its fault where it has one, and where they look. */
export function PairsPane({ pairs: drawn }: { readonly pairs: Pairs }) {
  const { pairs, where, setWhere, paints, setPaints, add, change, remove } = drawn
  const pageTitle = usePage()?.title ?? ''
  const faults = draftFaults(pairs)
  if (pairs.length === 0) return <NoPairs pairs={drawn} onAdd={add} />
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
        recipes={<Recipes pairs={drawn} />}
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

interface NoPairsProps {
  readonly pairs: Pairs
  readonly onAdd: () => void
}

function NoPairs({ pairs, onAdd }: NoPairsProps) {
  return (
    <div className="m-auto max-w-sm text-center">
      <h2 className="text-[15px] font-bold">Replace a colour on the whole site</h2>
      <p className="mt-2 text-soft">
        Choose a colour on the left, or several: all pairs run at once, so two that swap do swap.
        Nothing is written until you say so.
      </p>
      <div className="mt-4 flex justify-center gap-2">
        <Button onClick={onAdd}>
          <Plus size={16} /> A pair of any colours
        </Button>
        <Recipes pairs={pairs} />
      </div>
    </div>
  )
}
