'use client'

import type { KeyboardEvent, PointerEvent } from 'react'

interface SplitterProps {
  readonly label: string
  /** Share of the height that what is below it takes, in per cent. */
  readonly value: number
  readonly min?: number
  readonly max?: number
  readonly onChange: (value: number) => void
}

/** How far one press of an arrow key moves it, in per cent. */
const STEP = 4

/** The line between what is above and what is below: it is dragged, or moved by arrow keys. */
export function Splitter({ label, value, min = 20, max = 85, onChange }: SplitterProps) {
  const set = (next: number) => onChange(Math.round(Math.min(max, Math.max(min, next))))
  const drag = (event: PointerEvent<HTMLElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
    // What is parted stands around what the line closes off.
    const { top, height } =
      event.currentTarget.parentElement!.parentElement!.getBoundingClientRect()
    set(100 - ((event.clientY - top) / height) * 100)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowUp: STEP, ArrowDown: -STEP }[event.key]
    if (!by) return
    event.preventDefault()
    set(value + by)
  }
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-label={label}
      aria-orientation="horizontal"
      aria-valuenow={value}
      aria-valuemin={min}
      aria-valuemax={max}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
      onKeyDown={onKeyDown}
      className="group -my-1 flex h-2.5 shrink-0 cursor-row-resize touch-none items-center justify-center"
    >
      <span
        aria-hidden
        className="h-1 w-12 rounded-full bg-edge-strong/50 group-hover:bg-strong group-focus-visible:bg-strong"
      />
    </div>
  )
}
