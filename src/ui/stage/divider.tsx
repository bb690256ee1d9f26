'use client'

import type { KeyboardEvent, PointerEvent } from 'react'

interface DividerProps {
  /** Where what was before ends and what comes after begins, 0…1 of the width. */
  readonly value: number
  readonly onChange: (value: number) => void
}

/** A line over two pages that lie on each other, dragged or moved by arrow keys. */
export function Divider({ value, onChange }: DividerProps) {
  const set = (next: number) => onChange(Math.min(1, Math.max(0, next)))
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (!(event.buttons & 1)) return
    const bounds = event.currentTarget.parentElement!.getBoundingClientRect()
    set((event.clientX - bounds.left) / bounds.width)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -0.02, ArrowRight: 0.02 }[event.key]
    if (!by) return
    event.preventDefault()
    set(value + by)
  }
  const percent = Math.round(value * 100)
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Divider between before and after"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={percent}
      aria-valuetext={`before up to ${percent} per cent of the width`}
      onPointerDown={(event) => {
        event.stopPropagation()
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={(event) => {
        event.stopPropagation()
        drag(event)
      }}
      onClick={(event) => event.stopPropagation()}
      onKeyDown={onKeyDown}
      className="absolute inset-y-0 z-20 w-6 -translate-x-1/2 cursor-ew-resize touch-none"
      style={{ left: `${value * 100}%` }}
    >
      <span
        aria-hidden
        className="absolute inset-y-0 left-1/2 w-0.5 -translate-x-1/2 bg-black ring-1 ring-white"
      />
      <span
        aria-hidden
        className="sticky top-4 flex w-0 justify-center text-[11px] font-semibold whitespace-nowrap"
      >
        <span className="absolute right-1 mr-2 rounded-sm bg-black px-1.5 py-0.5 text-white">
          before
        </span>
        <span className="absolute left-6 rounded-sm bg-black px-1.5 py-0.5 text-white">after</span>
      </span>
    </div>
  )
}
