import { useEffect, useRef, useState } from 'react'

/** How long the pointer must rest before what is dragged is kept, in milliseconds. */
export const REST = 260

/**
 * Holds what is dragged until the pointer rests, then hands it on; also when the
 * control goes away. Gives what is held, the function to drag with, and one that
 * takes a value for good, whatever is still held.
 */
export function useResting<T>(
  keep: (value: T) => void,
): readonly [held: T | undefined, drag: (value: T) => void, take: (value: T) => void] {
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
  const take = (value: T) => {
    clearTimeout(timer.current)
    unkept.current = undefined
    setHeld(undefined)
    keep(value)
  }
  return [held, drag, take]
}
