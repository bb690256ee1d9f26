'use client'

import { Slider } from 'radix-ui'
import { writeDecision } from '@/core/edit'
import type { GradientPaint } from '@/core/site'
import { useEditorState } from '../editor'
import { decisionHex, paintBackground } from '../look'

interface GradientBarProps {
  readonly value: GradientPaint
  readonly chosen: number
  readonly onPick: (stop: number) => void
  readonly onDrag: (value: GradientPaint) => void
  readonly onChoose: (value: GradientPaint) => void
}

/** The gradient from its first stop to its last, with a thumb for each: dragged, or moved by the arrow keys. */
export function GradientBar({ value, chosen, onPick, onDrag, onChoose }: GradientBarProps) {
  const siteId = useEditorState((state) => state.siteId)
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { stops } = value
  const moved = (places: readonly number[]): GradientPaint => ({
    ...value,
    stops: stops.map((stop, i) => ({ ...stop, at: places[i]! })),
  })
  const flat = { ...value, gradient: 'linear', angle: 90, center: undefined } as const
  return (
    <Slider.Root
      value={stops.map(({ at }) => at)}
      min={0}
      max={100}
      step={1}
      onValueChange={(places) => onDrag(moved(places))}
      onValueCommit={(places) => onChoose(moved(places))}
      className="relative flex h-11 touch-none items-start"
    >
      <Slider.Track className="see-through relative h-6 w-full overflow-hidden rounded-md border border-black/20">
        <span
          className="block size-full"
          style={{
            background: paintBackground(siteId, palette, flat),
          }}
        />
      </Slider.Track>
      {stops.map(({ at, color }, i) => (
        <Slider.Thumb
          key={i}
          aria-label={`Stop ${i + 1}, ${writeDecision(palette, color)}`}
          aria-valuetext={`${at} %`}
          onFocus={() => onPick(i)}
          className={`block size-4.5 translate-y-6 rounded-[4px] border-2 border-white shadow-[0_0_0_1.5px_#000] ${i === chosen ? 'outline-2 outline-offset-2 outline-black' : ''}`}
          style={{ background: decisionHex(palette, color) }}
        />
      ))}
    </Slider.Root>
  )
}
