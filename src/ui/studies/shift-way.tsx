'use client'

import { unshifted, type PaletteShift } from '@/core/palette'
import { useEditorState, type Trial, type TrialWay } from '../editor'
import { Button, Slider } from '../kit'
import { trialOfShift } from './trial'

interface ShiftWayProps {
  readonly from: Extract<TrialWay, { way: 'shift' }>
  readonly onTrial: (trial: Trial) => void
}

/** Each way of moving a palette, with its ends in words. */
const WAYS: ReadonlyArray<readonly [keyof PaletteShift, string, string]> = [
  ['light', 'Darker', 'Lighter'],
  ['vivid', 'Quieter', 'More vivid'],
  ['warm', 'Cooler', 'Warmer'],
]

/** “Brighter, please”: the whole palette, or the slots that go along, lighter, more vivid, warmer, and the other way. */
export function ShiftWay({ from, onTrial }: ShiftWayProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { shift, stays } = from
  const move = (next: PaletteShift) => onTrial(trialOfShift(palette, next, stays))
  return (
    <div className="grid gap-1.5">
      {WAYS.map(([key, less, more]) => (
        <div key={key}>
          <div className="flex justify-between text-xs text-soft">
            <button
              type="button"
              className="rounded hover:text-ink"
              onClick={() => move({ ...shift, [key]: Math.max(-100, shift[key] - 10) })}
            >
              {less}
            </button>
            <button
              type="button"
              className="rounded hover:text-ink"
              onClick={() => move({ ...shift, [key]: Math.min(100, shift[key] + 10) })}
            >
              {more}
            </button>
          </div>
          <Slider
            bare
            label={`${less} to ${more.toLowerCase()}`}
            value={shift[key]}
            min={-100}
            max={100}
            told={`${shift[key] > 0 ? '+' : ''}${shift[key]}`.replace('-', '−')}
            onChange={(value) => move({ ...shift, [key]: value })}
          />
        </div>
      ))}
      <Button
        className="justify-self-start"
        disabled={Object.values(shift).every((each) => each === 0)}
        onClick={() => move(unshifted)}
      >
        All back to the middle
      </Button>
    </div>
  )
}
