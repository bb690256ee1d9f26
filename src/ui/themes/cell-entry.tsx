'use client'

import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react'
import type { Steps } from '../kit'
import type { CellBox } from './sheet-place'

interface CellEntryProps {
  /** Where the cell stands, in pixels of the sheet. */
  readonly box: CellBox
  /** What was typed already when the cell was entered. */
  readonly start: string
  readonly names: readonly string[]
  /** Takes the text; returns what is wrong with it, or nothing. */
  readonly onDecide: (text: string) => string | undefined
  /** Done, or given up: the focus goes back to the sheet. */
  readonly onLeave: (steps?: Steps) => void
  /** The focus has gone elsewhere by itself. */
  readonly onAway: () => void
}

/** What is typed into a cell, laid over it: a slot, a shade of one, or a colour. */
export function CellEntry({ box, start, names, onDecide, onLeave, onAway }: CellEntryProps) {
  const [text, setText] = useState(start)
  const [wrong, setWrong] = useState<string>()
  const input = useRef<HTMLInputElement>(null)
  const list = useId()
  useEffect(() => input.current?.focus(), [])
  const decide = (steps: Steps) => {
    if (text.trim() === '') return onLeave()
    const problem = onDecide(text)
    setWrong(problem)
    if (!problem) onLeave(steps)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation()
    if (event.key === 'Escape') onLeave()
    else if (event.key === 'Enter') decide([event.shiftKey ? -1 : 1, 0])
    else if (event.key === 'Tab') decide([0, event.shiftKey ? -1 : 1])
    else return
    event.preventDefault()
  }
  return (
    <div className="absolute z-30" style={box}>
      <input
        ref={input}
        aria-label="Slot, shade or colour"
        aria-invalid={wrong !== undefined}
        list={list}
        value={text}
        placeholder="Ink −8, #1d5955"
        spellCheck={false}
        autoComplete="off"
        onChange={(event) => {
          setText(event.target.value)
          setWrong(undefined)
        }}
        onKeyDown={onKeyDown}
        onBlur={onAway}
        className="code h-8 w-full rounded border-2 border-strong bg-raised px-2 shadow-lg"
      />
      <datalist id={list}>
        {names.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      {wrong && (
        <p role="alert" className="mt-1 rounded bg-strong px-2 py-1 text-xs text-on-strong">
          × {wrong}
        </p>
      )}
    </div>
  )
}
