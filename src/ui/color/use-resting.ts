import { useEffect, useRef, useState } from 'react'

/** How long the pointer must rest before what is dragged is kept, in milliseconds. */
export const REST = 260

/**
 * Holds what is dragged until the pointer rests, then hands it on; also when the
 * control goes away. Gives what is held, and the function to drag with.
 */
export function useResting<T>(
  keep: (value: T) => void,
): readonly [T | undefined, (value: T) => void] {
  const [held, setHeld] = useState<T>()
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const unkept = useRef<{ readonly value: T }>(undefined)
  const flush = () => {
    clearTimeout(timer.current)
    const last = unkept.current
    unkept.current = undefined
    if (!last) return
    keep(last.value)
    setHeld(undefined)
  }
  const latest = useRef(flush)
  useEffect(() => {
    latest.current = flush
  })
  useEffect(() => () => latest.current(), [])
  const drag = (value: T) => {
    setHeld(value)
    unkept.current = { value }
    clearTimeout(timer.current)
    timer.current = setTimeout(() => latest.current(), REST)
  }
  return [held, drag]
}
