'use client'

import { colorOf } from '@/core/color'
import { findReadyMade, hueFamilies, moods, type HueFamily, type Mood } from '@/core/palette'
import type { Trial } from '../editor'
import { useBasis } from './basis'
import { Choice, Choices } from '../kit'
import { PaletteStrip } from './palette-strip'
import { trialOfReadyMade } from './trial'

interface ReadyWayProps {
  readonly from: Extract<Trial['from'], { way: 'ready' }>
  readonly onTrial: (trial: Trial) => void
}

const SELECT = 'h-8 w-full rounded-md border border-edge-strong/60 bg-raised px-1.5'
const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1)

/** Palettes to start from, narrowed by mood and by hue. */
export function ReadyWay({ from, onTrial }: ReadyWayProps) {
  const basis = useBasis()
  const { name, mood, hue } = from
  const found = findReadyMade(mood, hue)
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-2 gap-2">
        <label className="text-xs text-soft">
          Mood
          <select
            value={mood ?? ''}
            onChange={(event) =>
              onTrial(trialOfReadyMade(basis, name, (event.target.value as Mood) || undefined, hue))
            }
            className={`${SELECT} text-[13px] text-ink`}
          >
            <option value="">any</option>
            {Object.entries(moods).map(([id, label]) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <label className="text-xs text-soft">
          Hue
          <select
            value={hue ?? ''}
            onChange={(event) =>
              onTrial(
                trialOfReadyMade(basis, name, mood, (event.target.value as HueFamily) || undefined),
              )
            }
            className={`${SELECT} text-[13px] text-ink`}
          >
            <option value="">any</option>
            {hueFamilies.map((family) => (
              <option key={family} value={family}>
                {capital(family)}
              </option>
            ))}
          </select>
        </label>
      </div>
      <Choices
        label="Ready-made palettes"
        value={name}
        onChange={(next) => onTrial(trialOfReadyMade(basis, next, mood, hue))}
        className="grid max-h-60 auto-rows-max grid-cols-2 gap-1.5 overflow-y-auto p-0.5"
      >
        {found.map((each) => (
          <Choice
            key={each.name}
            value={each.name}
            className="block overflow-hidden rounded-md border border-edge-strong/60 bg-raised text-left text-[12px] font-semibold hover:bg-hover has-checked:ring-2 has-checked:ring-strong"
          >
            <PaletteStrip colors={each.colors.map((hex) => colorOf(hex)!)} className="h-6" />
            <span className="block truncate px-2 py-1">{each.name}</span>
          </Choice>
        ))}
      </Choices>
      {found.length === 0 && (
        <p className="text-soft">No palette has both. Take away the mood or the hue.</p>
      )}
    </div>
  )
}
