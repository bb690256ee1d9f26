'use client'

import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, type RefObject } from 'react'

interface RowWindowProps {
  readonly scroller: RefObject<HTMLElement | null>
  readonly count: number
  /** About how high a row is, in CSS pixels; those that are drawn are measured. */
  readonly height: number
  /** Called with the rows in view, and some around them. */
  readonly onRange?: (from: number, to: number) => void
  /** Above the first row, inside of what scrolls. */
  readonly above?: number
}

/** Of a long list, the rows in view: only they are drawn. */
export function useRowWindow({ scroller, count, height, onRange, above = 0 }: RowWindowProps) {
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing compiles this hook
  const rows = useVirtualizer({
    count,
    estimateSize: () => height,
    overscan: 4,
    scrollMargin: above,
    initialRect: { width: 0, height: 800 },
    getScrollElement: () => scroller.current,
  })
  const items = rows.getVirtualItems()
  const [first, last] = [items[0]?.index ?? 0, items.at(-1)?.index ?? 0]
  useEffect(() => onRange?.(first, last + 1), [onRange, first, last, count])
  return {
    rows: items.map(({ index, start }) => ({ index, top: start - above })),
    total: rows.getTotalSize(),
    measure: rows.measureElement,
    scrollTo: (index: number) => rows.scrollToIndex(index, { align: 'auto' }),
  }
}
