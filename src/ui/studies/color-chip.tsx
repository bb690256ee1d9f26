'use client'

import { useDraggable } from '@dnd-kit/core'
import { ColorEditor } from '../color'
import type { Trial } from '../editor'
import { Popover } from '../kit'
import { recolored } from './trial'

interface ColorChipProps {
  readonly trial: Trial
  readonly index: number
  readonly onTrial: (trial: Trial) => void
}

/** One colour of a trial: a click edits it, live; dragged onto a slot it goes there. */
export function ColorChip({ trial, index, onTrial }: ColorChipProps) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: `give:${index}` })
  const { value, name } = trial.colors[index]!
  const told = name ? `${name}, ${value}` : value
  const set = (next: string) => onTrial(recolored(trial, index, next))
  return (
    <Popover
      label={`Colour ${told}`}
      side="left"
      width={300}
      trigger={
        <button
          ref={setNodeRef}
          {...listeners}
          type="button"
          title={told}
          aria-label={`Edit ${told}`}
          className={`see-through size-[26px] shrink-0 touch-none overflow-hidden rounded-[3px] border border-black/20 ${isDragging ? 'opacity-50' : ''}`}
        >
          <span className="block size-full" style={{ background: value }} />
        </button>
      }
    >
      <ColorEditor value={value} onDrag={set} onCommit={set} />
    </Popover>
  )
}
