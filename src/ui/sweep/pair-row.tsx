import { ArrowLeftRight, ArrowRight, X } from 'lucide-react'
import { isBound } from '@/core/site'
import type { PairFault, SweepFrom } from '@/core/sweep'
import { ColorField } from '../color'
import { IconButton, Tick } from '../kit'
import { FamilyMembers } from './family-members'
import { canSwap, fromOf, nearness, soughtOf, swapped, type PairDraft } from './draft'

interface PairRowProps {
  readonly pair: PairDraft
  readonly fault?: PairFault
  readonly onChange: (pair: PairDraft) => void
  readonly onRemove: () => void
}

const faultWords: Readonly<Record<PairFault, string>> = {
  same: 'Both sides are the same colour; nothing would change. Choose another for one of them.',
  'at-odds':
    'An earlier pair looks for the same colour. It can go to one only: take one of the two away.',
}

/** What is looked for and what it becomes, with what of its kin goes along. */
export function PairRow({ pair, fault, onChange, onRemove }: PairRowProps) {
  const { from, to } = pair
  return (
    <div className="grid gap-1.5" data-testid="pair">
      <div className="grid grid-cols-[minmax(0,1fr)_24px_minmax(0,1fr)_32px_32px] items-center gap-2">
        <ColorField
          label="Look for"
          decision={from && soughtOf(from)}
          hint={from ? fromHint(from) : ''}
          unset="Choose what to look for …"
          onChoose={(decision) => onChange({ ...pair, from: fromOf(decision, from) })}
        />
        <ArrowRight size={18} className="justify-self-center" aria-label="becomes" />
        <ColorField
          label="Replace by"
          decision={to}
          hint={to && isBound(to) ? 'binds to the slot' : 'stays loose'}
          unset="Choose what it becomes …"
          onChoose={(decision) => onChange({ ...pair, to: decision })}
        />
        <IconButton
          label="Exchange both sides"
          disabled={!canSwap(pair)}
          onClick={() => onChange(swapped(pair))}
        >
          <ArrowLeftRight size={15} />
        </IconButton>
        <IconButton label="Remove this pair" onClick={onRemove}>
          <X size={16} />
        </IconButton>
      </div>
      {from && 'value' in from && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 pl-1 text-xs">
          <select
            aria-label="How near counts"
            value={from.within}
            onChange={(event) =>
              onChange({ ...pair, from: { ...from, within: Number(event.target.value) } })
            }
            className="h-6 rounded border border-edge bg-raised px-1"
          >
            {nearness.map(([within, words]) => (
              <option key={within} value={within}>
                {words}
              </option>
            ))}
          </select>
          <Tick
            checked={!!from.family}
            onChange={(family) => {
              const { family: _was, also: _also, except: _except, ...alone } = from
              onChange({ ...pair, from: family ? { ...alone, family: true } : alone })
            }}
          >
            its tints, shades and transparent variants move along
          </Tick>
        </div>
      )}
      {from && 'value' in from && from.family && (
        <FamilyMembers from={from} to={to} onChange={(next) => onChange({ ...pair, from: next })} />
      )}
      {fault && (
        <p role="alert" className="pl-1 text-xs font-semibold">
          {faultWords[fault]}
        </p>
      )}
    </div>
  )
}

const fromHint = (from: SweepFrom): string => {
  if ('value' in from) return 'loose, wherever it is'
  return from.shade ? 'this shade alone' : 'all bound to it, shades too'
}
