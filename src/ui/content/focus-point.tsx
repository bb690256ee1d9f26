'use client'

import type { KeyboardEvent, MouseEvent } from 'react'
import type { Focus, Picture } from '@/core/site'
import { usePictureAddress } from '../editor'

const MIDDLE: Focus = { x: 50, y: 50 }
/** A step by an arrow key, in hundredths. */
const STEP = 5
const STEPS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}

const within = (value: number) => Math.round(Math.min(100, Math.max(0, value)))

interface FocusPointProps {
  readonly picture: Picture
  readonly onFocus: (focus: Focus | undefined) => void
}

/** The whole picture with the point that stays in sight wherever it is cut: set by a click or by arrow keys. */
export function FocusPoint({ picture, onFocus }: FocusPointProps) {
  const addressOf = usePictureAddress()
  const { x, y } = picture.focus ?? MIDDLE
  const set = (focus: Focus) =>
    onFocus(focus.x === MIDDLE.x && focus.y === MIDDLE.y ? undefined : focus)
  const click = (event: MouseEvent<HTMLButtonElement>) => {
    // A click by a key has no place.
    if (event.detail === 0) return
    const box = event.currentTarget.getBoundingClientRect()
    set({
      x: within(((event.clientX - box.left) / box.width) * 100),
      y: within(((event.clientY - box.top) / box.height) * 100),
    })
  }
  const key = (event: KeyboardEvent) => {
    const step = STEPS[event.key]
    if (!step) return
    event.preventDefault()
    event.stopPropagation()
    set({ x: within(x + step[0]), y: within(y + step[1]) })
  }
  return (
    <div className="grid gap-1">
      <span className="text-xs text-soft">Stays in sight where it is cut</span>
      <button
        type="button"
        aria-label={`Point that stays in sight: ${x} % from the left, ${y} % from the top. Arrow keys move it.`}
        onClick={click}
        onKeyDown={key}
        className="relative justify-self-start overflow-hidden rounded-sm bg-well"
      >
        <img src={addressOf(picture)} alt="" className="block max-h-36 max-w-full" />
        <span
          aria-hidden
          className="pointer-events-none absolute size-4 -translate-1/2 rounded-full border-2 border-white shadow-[0_0_0_2px_#000,inset_0_0_0_1px_#000]"
          style={{ left: `${x}%`, top: `${y}%` }}
        />
      </button>
    </div>
  )
}
