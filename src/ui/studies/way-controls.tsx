'use client'

import { harmonies, type HarmonyId } from '@/core/palette'
import { ColorEditor, readColorText } from '../color'
import type { Trial } from '../editor'
import { Choice, Choices, Popover, TextField } from '../kit'
import { useBasis } from './basis'
import { ListWay } from './list-way'
import { PictureWay } from './picture-way'
import { ReadyWay } from './ready-way'
import { OthersControls } from './others-way'
import { ShiftWay } from './shift-way'
import { trialOfHarmony } from './trial'

interface WayControlsProps {
  readonly trial: Trial
  readonly onTrial: (trial: Trial) => void
}

/** What each way in asks for. */
export function WayControls({ trial, onTrial }: WayControlsProps) {
  const basis = useBasis()
  const { from } = trial
  switch (from.way) {
    case 'list':
      return <ListWay from={from} found={trial.colors.length} onTrial={onTrial} />
    case 'ready':
      return <ReadyWay from={from} onTrial={onTrial} />
    case 'harmony':
      return (
        <div className="grid gap-2">
          <div className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-1.5">
            <TextField
              label="The colour to start from"
              value={from.base}
              mono
              onCommit={(typed) => {
                const read = readColorText(typed)
                if ('wrong' in read) return read.wrong
                onTrial(trialOfHarmony(basis, read.value, from.harmony))
                return undefined
              }}
            />
            <BaseColor
              value={from.base}
              onChange={(base) => onTrial(trialOfHarmony(basis, base, from.harmony))}
            />
          </div>
          <Choices
            label="Harmony"
            value={from.harmony}
            onChange={(id) => onTrial(trialOfHarmony(basis, from.base, id as HarmonyId))}
            className="grid grid-cols-2 gap-1.5"
          >
            {(Object.keys(harmonies) as HarmonyId[]).map((id) => {
              const shown = trialOfHarmony(basis, from.base, id)
              return (
                <Choice
                  key={id}
                  value={id}
                  className="block overflow-hidden rounded-md border border-edge-strong/60 bg-raised text-left text-[12px] font-semibold hover:bg-hover has-checked:ring-2 has-checked:ring-strong"
                >
                  <span aria-hidden className="flex h-5">
                    {shown.colors.map(({ value }, i) => (
                      <span key={i} className="flex-1" style={{ background: value }} />
                    ))}
                  </span>
                  <span className="block px-2 py-1">{harmonies[id].label}</span>
                </Choice>
              )
            })}
          </Choices>
        </div>
      )
    case 'others':
      return <OthersControls from={from} onTrial={onTrial} />
    case 'shift':
      return <ShiftWay from={from} onTrial={onTrial} />
    case 'picture':
      return <PictureWay from={from} onTrial={onTrial} />
    case 'study':
    case 'grey':
    case 'original':
      return null
  }
}

interface BaseColorProps {
  readonly value: string
  readonly onChange: (value: string) => void
}

/** The colour that harmonies are made of, by the one editor; it can be picked from a logo too. */
function BaseColor({ value, onChange }: BaseColorProps) {
  return (
    <Popover
      label="The colour to start from"
      side="left"
      width={300}
      trigger={
        <button
          type="button"
          aria-label="Edit the colour to start from"
          className="size-8 overflow-hidden rounded-md border border-black/25"
          style={{ background: value }}
        />
      }
    >
      <ColorEditor value={value} onDrag={onChange} onCommit={onChange} />
    </Popover>
  )
}
