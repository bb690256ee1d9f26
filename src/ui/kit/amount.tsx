'use client'

import { Slider as Radix } from 'radix-ui'
import { useId, useState, type KeyboardEvent } from 'react'

interface AmountProps {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly step?: number
  readonly unit?: string
  /** The ends of the track, where values beyond them can be typed alone. */
  readonly from?: number
  readonly upTo?: number
  readonly onDrag: (value: number) => void
  readonly onCommit: (value: number) => void
  readonly hideLabel?: boolean
}

/** A comma or a point, a sign of either kind, with or without its unit. */
function readNumber(text: string): number {
  const plain = text.trim().replace('−', '-').replace(',', '.')
  return /^-?(?:\d+\.?\d*|\.\d+)\s*(?:px|em|ch|ms|%|°)?$/.test(plain)
    ? Number.parseFloat(plain)
    : NaN
}

/** A number on a track and in a field: dragged it is shown at once, let go it is kept; typed it may have its unit. */
export function Amount(props: AmountProps) {
  const { label, value, min, max, step = 1, unit = '', onDrag, onCommit } = props
  const { from = min, upTo = max, hideLabel } = props
  const id = useId()
  const [dragged, setDragged] = useState<number>()
  const [typed, setTyped] = useState<string>()
  const [wrong, setWrong] = useState<string>()
  const now = dragged ?? value
  const take = () => {
    if (typed === undefined) return
    const read = readNumber(typed)
    if (Number.isNaN(read) || read < min || read > max) {
      return setWrong(`A number from ${min} to ${max}${unit ? ` ${unit}` : ''}.`)
    }
    setTyped(undefined)
    setWrong(undefined)
    if (read !== value) onCommit(read)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') take()
    if (event.key === 'Escape' && typed !== undefined) {
      event.stopPropagation()
      setTyped(undefined)
      setWrong(undefined)
    }
  }
  return (
    <div>
      <div
        className={`grid items-center gap-2 ${hideLabel ? 'grid-cols-[minmax(0,1fr)_64px]' : 'grid-cols-[64px_minmax(0,1fr)_64px]'}`}
      >
        <label htmlFor={id} className={hideLabel ? 'sr-only' : 'truncate text-xs text-soft'}>
          {label}
        </label>
        <Radix.Root
          value={[Math.min(upTo, Math.max(from, now))]}
          min={from}
          max={upTo}
          step={step}
          onValueChange={([to]) => {
            setDragged(to!)
            onDrag(to!)
          }}
          onValueCommit={([to]) => {
            setDragged(undefined)
            if (to !== value) onCommit(to!)
          }}
          className="relative flex h-6 touch-none items-center"
        >
          <Radix.Track className="relative h-1 w-full rounded-full bg-edge-strong">
            <Radix.Range className="absolute h-full rounded-full bg-strong" />
          </Radix.Track>
          <Radix.Thumb
            aria-label={label}
            aria-valuetext={`${now}${unit ? ` ${unit}` : ''}`}
            className="block size-3.5 rounded-full border border-strong bg-raised"
          />
        </Radix.Root>
        <span className="relative">
          <input
            id={id}
            value={typed ?? String(Math.round(now * 1000) / 1000)}
            inputMode="decimal"
            autoComplete="off"
            // Undo is the browser's while a number is typed that is not taken yet, else the site's.
            data-changed={typed !== undefined && readNumber(typed) !== value}
            aria-invalid={wrong !== undefined}
            aria-describedby={wrong ? `${id}-wrong` : undefined}
            onChange={(event) => {
              setTyped(event.target.value)
              setWrong(undefined)
            }}
            onBlur={take}
            onKeyDown={onKeyDown}
            className="code h-7 w-full rounded-md border border-edge-strong/60 bg-raised pr-6 pl-1.5 text-right text-[12px] aria-invalid:border-2 aria-invalid:border-strong"
          />
          {unit && (
            <span
              aria-hidden
              className="pointer-events-none absolute top-1/2 right-1.5 -translate-y-1/2 text-[10px] text-soft"
            >
              {unit}
            </span>
          )}
        </span>
      </div>
      {wrong && (
        <p id={`${id}-wrong`} role="alert" className="mt-1 text-xs font-semibold">
          × {wrong}
        </p>
      )}
    </div>
  )
}
