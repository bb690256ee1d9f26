'use client'

import { useDroppable } from '@dnd-kit/core'
import { ArrowRight, Lock, LockOpen } from 'lucide-react'
import type { Slot } from '@/core/site'
import { useEditorState, type Trial } from '../editor'
import { decisionHex } from '../look'
import { IconButton, Swatch } from '../kit'
import { ColorChip } from './color-chip'
import { exchange, trialOfSeed } from './trial'

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
      {trial.from.way === 'reshuffle' ? (
        <LockButton trial={trial} slot={slot} onTrial={onTrial} />
      ) : (
        <select
          aria-label={`Colour for ${slot.name}`}
          value={given}
          onChange={(event) => onTrial(exchange(trial, index, Number(event.target.value)))}
          className="code h-7 w-28 rounded border border-edge-strong/60 bg-raised px-1"
        >
          <option value={-1}>as it is</option>
          {trial.colors.map(({ value, name: own }, i) => (
            <option key={i} value={i}>
              {own ? `${own} ${value}` : value}
            </option>
          ))}
        </select>
      )}
    </li>
  )
}

function LockButton({ trial, slot, onTrial }: Omit<SlotRowProps, 'index'>) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { from } = trial
  if (from.way !== 'reshuffle') return null
  const locked = from.locked.includes(slot.id)
  const toggle = () => {
    const next = locked ? from.locked.filter((id) => id !== slot.id) : [...from.locked, slot.id]
    onTrial(trialOfSeed(palette, from.seeds, from.at, next))
  }
  return (
    <IconButton
      label={`${locked ? 'Unlock' : 'Lock'} ${slot.name}`}
      aria-pressed={locked}
      onClick={toggle}
    >
      {locked ? <Lock size={14} /> : <LockOpen size={14} />}
    </IconButton>
  )
}
