import { useEffect, useRef, useState } from 'react'
import { useEditor } from '../editor'

/** How long the pointer must rest before what is dragged is kept, in milliseconds. */
export const REST = 260
/** How often what is held is given anew while it is dragged, in milliseconds. */
const CALM = 150

/**
 * Gives a value that is set often at a calm pace: at once where the last time is
 * long enough ago, else as soon as it is; always the one that was set last.
 */
function useCalm<T>(): readonly [shown: T | undefined, set: (value: T | undefined) => void] {
  const [shown, setShown] = useState<T>()
  const last = useRef(0)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  const set = (value: T | undefined) => {
    clearTimeout(timer.current)
    const show = () => {
      last.current = performance.now()
      setShown(value)
    }
    const wait = value === undefined ? 0 : last.current + CALM - performance.now()
    if (wait <= 0) show()
    else timer.current = setTimeout(show, wait)
  }
  return [shown, set]
}

/**
 * Holds what is dragged until the pointer rests, then hands it on; also when the
 * control goes away or the window is closed. Gives what is held, at a calm pace, the function to drag with,
 * and one that takes a value for good, whatever is still held.
 */
export function useResting<T>(
  keep: (value: T) => void,
): readonly [held: T | undefined, drag: (value: T) => void, take: (value: T) => void] {
  const editor = useEditor()
  const [held, setHeld] = useCalm<T>()
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const unkept = useRef<{ readonly value: T }>(undefined)
  /** Notes what is held; the window says that it is not saved yet. */
  const hold = (next: { readonly value: T } | undefined) => {
    const by = (next ? 1 : 0) - (unkept.current ? 1 : 0)
    unkept.current = next
    if (by) editor.show({ moving: editor.store.getState().moving + by })
  }
  const flush = () => {
    clearTimeout(timer.current)
    const last = unkept.current
    if (!last) return
    keep(last.value)
    hold(undefined)
    setHeld(undefined)
  }
  const latest = useRef(flush)
  useEffect(() => {
    latest.current = flush
  })
  useEffect(() => {
    const keepHeld = () => latest.current()
    // Before the editor looks whether all is stored, and asks if not.
    window.addEventListener('beforeunload', keepHeld, { capture: true })
    return () => {
      window.removeEventListener('beforeunload', keepHeld, { capture: true })
      keepHeld()
    }
  }, [])
  const drag = (value: T) => {
    setHeld(value)
    hold({ value })
    clearTimeout(timer.current)
    timer.current = setTimeout(() => latest.current(), REST)
  }
  const take = (value: T) => {
    clearTimeout(timer.current)
    setHeld(undefined)
    keep(value)
    hold(undefined)
  }
  return [held, drag, take]
}
