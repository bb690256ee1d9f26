'use client'

import { useDroppable } from '@dnd-kit/core'
import { ArrowRight } from 'lucide-react'
import type { Slot } from '@/core/site'
import { useEditorState, type Trial } from '../editor'
import { decisionHex } from '../look'
import { ColorSelect, Swatch } from '../kit'
import { ColorChip } from './color-chip'
import { withStay } from './others'
import { exchange, trialOfShift } from './trial'

interface SlotRowProps {
  readonly trial: Trial
  readonly index: number
  readonly slot: Slot
  /** The name that it gets with its colour. */
  readonly newName?: string
  readonly onTrial: (trial: Trial) => void
}

/** What a slot holds and what it would take; another colour is chosen, or dragged here. */
export function SlotRow({ trial, index, slot, newName, onTrial }: SlotRowProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { setNodeRef, isOver } = useDroppable({ id: `take:${index}` })
  const given = trial.given[index] ?? -1
  const before = decisionHex(palette, { slot: slot.id })
  return (
    <li
      ref={setNodeRef}
      className={`grid grid-cols-[28px_16px_28px_minmax(0,1fr)_auto] items-center gap-2 rounded py-0.5 ${isOver ? 'outline-2 outline-strong' : ''}`}
    >
      <Swatch color={before} size={26} />
      <ArrowRight size={13} aria-hidden />
      {trial.colors[given] ? (
        <ColorChip trial={trial} index={given} onTrial={onTrial} />
      ) : (
        <Swatch color={before} size={26} />
      )}
      <span
        className={newName ? 'text-[12px] leading-tight' : 'truncate'}
        title={newName ? `${slot.name} becomes ${newName}` : slot.note}
      >
        {newName ? (
          <>
            <s className="block text-xs text-soft">{slot.name}</s>
            <b>{newName}</b>
          </>
        ) : (
          slot.name
        )}
      </span>
      {trial.from.way === 'others' || trial.from.way === 'shift' ? (
        <GoesAlong trial={trial} slot={slot} onTrial={onTrial} />
      ) : (
        <ColorSelect
          label={`Colour for ${slot.name}`}
          value={given}
          none="as it is"
          options={trial.colors.map(({ value, name: own }) => ({ color: value, words: own }))}
          onChange={(next) => onTrial(exchange(trial, index, next))}
        />
      )}
    </li>
  )
}

/** Whether a slot goes along with the rest of the palette, or stays as it is. */
function GoesAlong({ trial, slot, onTrial }: Omit<SlotRowProps, 'index'>) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { from } = trial
  if (from.way !== 'others' && from.way !== 'shift') return null
  const stays = from.stays.includes(slot.id)
  const toggle = () =>
    onTrial(
      from.way === 'others'
        ? withStay(palette, from, slot.id)
        : trialOfShift(
            palette,
            from.shift,
            stays ? from.stays.filter((id) => id !== slot.id) : [...from.stays, slot.id],
          ),
    )
  return (
    <button
      type="button"
      role="switch"
      aria-checked={stays}
      aria-label={`${slot.name} stays as it is`}
      onClick={toggle}
      className="h-7 w-16 rounded-md border border-edge-strong/60 text-[12px] hover:bg-hover aria-checked:border-strong aria-checked:bg-strong aria-checked:text-on-strong"
    >
      {stays ? 'stays' : 'moves'}
    </button>
  )
}
