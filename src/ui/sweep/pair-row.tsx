'use client'

import { ArrowRight, X } from 'lucide-react'
import { decisionWords } from '@/core/edit'
import { isBound, slotName } from '@/core/site'
import { ColorChooser } from '../color'
import { useEditorState } from '../editor'
import { decisionHex } from '../look'
import { IconButton, Popover, Swatch } from '../kit'
import { nearness, type PairDraft } from './draft'

interface PairRowProps {
  readonly pair: PairDraft
  readonly onChange: (pair: PairDraft) => void
  readonly onRemove: () => void
}

const box =
  'flex h-12 min-w-0 items-center gap-3 rounded-md border border-edge-strong/60 bg-raised px-2.5 text-left'

export function PairRow({ pair, onChange, onRemove }: PairRowProps) {
  const docs = useEditorState((state) => state.docs)
  const { palette } = docs.frame
  const { from, to } = pair
  const fromColor = decisionHex(
    palette,
    'slot' in from ? { slot: from.slot } : { value: from.value },
  )
  return (
    <div
      className="grid grid-cols-[minmax(0,1fr)_24px_minmax(0,1fr)_32px] items-center gap-2"
      data-testid="pair"
    >
      <div className={box}>
        <Swatch color={fromColor} size={30} />
        {'slot' in from ? (
          <span className="truncate">
            <b>{slotName(palette, from.slot)}</b> <span className="text-soft">all bound to it</span>
          </span>
        ) : (
          <span className="min-w-0">
            <b className="code block">{from.value}</b>
            <select
              aria-label="How near counts"
              value={from.within}
              onChange={(event) =>
                onChange({ ...pair, from: { ...from, within: Number(event.target.value) } })
              }
              className="-ml-1 rounded bg-raised text-xs text-soft"
            >
              {nearness.map(([within, words]) => (
                <option key={within} value={within}>
                  {words}
                </option>
              ))}
            </select>
          </span>
        )}
      </div>
      <ArrowRight size={18} className="justify-self-center" aria-label="becomes" />
      <Popover
        label="Replace by"
        width={300}
        trigger={
          <button type="button" className={`${box} hover:bg-hover`}>
            {to ? (
              <>
                <Swatch color={decisionHex(palette, to)} size={30} />
                <span className="truncate">
                  <b>{decisionWords(to, docs)}</b>{' '}
                  <span className="text-soft">
                    {isBound(to) ? 'binds to the slot' : 'stays loose'}
                  </span>
                </span>
              </>
            ) : (
              <span className="font-semibold">Choose what it becomes …</span>
            )}
          </button>
        }
      >
        <ColorChooser
          label="Replace by"
          value={to}
          onChoose={(next) => onChange({ ...pair, to: next })}
        />
      </Popover>
      <IconButton label="Remove this pair" onClick={onRemove}>
        <X size={16} />
      </IconButton>
    </div>
  )
}
