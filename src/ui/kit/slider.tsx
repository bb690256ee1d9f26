'use client'

import { Slider as Radix } from 'radix-ui'
import { useState } from 'react'

interface SliderProps {
  readonly label: string
  readonly value: number
  readonly min?: number
  readonly max: number
  readonly step?: number
  /** What the value is called, read aloud and shown at the end. */
  readonly told: string
  /** CSS background of the track. */
  readonly track?: string
  readonly onChange: (value: number) => void
  readonly onCommit?: (value: number) => void
  /** Without its name beside it, where it stands elsewhere. */
  readonly bare?: boolean
}

/** One value on a track, with its name and what it comes to. It moves at once, also where the value it is given follows later. */
export function Slider(props: SliderProps) {
  const { label, value, min = 0, max, step = 1, told, track, onChange, onCommit, bare } = props
  const [moved, setMoved] = useState<{ readonly to: number; readonly from: number }>()
  const at = moved?.from === value ? moved.to : value
  return (
    <div
      className={`grid items-center gap-2 ${bare ? 'grid-cols-[minmax(0,1fr)_44px]' : 'grid-cols-[72px_minmax(0,1fr)_44px]'}`}
    >
      {!bare && <span className="truncate text-xs text-soft">{label}</span>}
      <Radix.Root
        value={[Math.min(max, Math.max(min, at))]}
        min={min}
        max={max}
        step={step}
        onValueChange={([to]) => {
          setMoved({ to: to!, from: value })
          onChange(to!)
        }}
        onValueCommit={([next]) => onCommit?.(next!)}
        className="relative flex h-6 touch-none items-center"
      >
        <Radix.Track
          className="see-through relative h-3 w-full overflow-hidden rounded-full border border-black/20"
          style={track ? undefined : { background: 'var(--edge)' }}
        >
          <span className="block size-full" style={{ background: track }} />
        </Radix.Track>
        <Radix.Thumb
          aria-label={label}
          aria-valuetext={told}
          className="block size-4 rounded-full border-2 border-white bg-transparent shadow-[0_0_0_1.5px_#000]"
        />
      </Radix.Root>
      <span className="code text-right text-[11px]">{told}</span>
    </div>
  )
}
