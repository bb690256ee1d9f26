import { useEffect, useRef, useState, type RefObject } from 'react'

/** A room that something of a width is shown in, and how much it is scaled to fit. */
export function useFit(width: number): {
  readonly room: RefObject<HTMLDivElement | null>
  readonly scale: number
} {
  const room = useRef<HTMLDivElement>(null)
  const [scale, setScale] = useState(1)
  useEffect(() => {
    const node = room.current
    if (!node) return undefined
    const fit = () => setScale(Math.min(1, node.clientWidth / width))
    const observer = new ResizeObserver(fit)
    observer.observe(node)
    fit()
    return () => observer.disconnect()
  }, [width])
  return { room, scale }
}

/** How high the page in a frame is, in its own pixels. */
export function useBodyHeight(page: Document | undefined): number {
  const [height, setHeight] = useState(800)
  useEffect(() => {
    if (!page) return undefined
    const measure = () => setHeight(Math.ceil(page.body.getBoundingClientRect().height))
    const observer = new ResizeObserver(measure)
    observer.observe(page.body)
    measure()
    return () => observer.disconnect()
  }, [page])
  return height
}
