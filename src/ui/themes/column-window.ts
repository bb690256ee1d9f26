import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual'
import { useCallback, type RefObject } from 'react'

/** Widths in pixels: of the column of role names, and the least of a theme's column. */
export const NAMES_WIDTH = 160
export const COLUMN_WIDTH = 128

/** A column that is drawn, by its place, or so many side by side that are not. */
export type Span = { readonly column: number } | { readonly from: number; readonly gap: number }

/** All columns from the first to the last, as those that are drawn and the gaps between them. */
export function spansOf(drawn: readonly number[], count: number): Span[] {
  const spans: Span[] = []
  let next = 0
  for (const column of [...drawn, count]) {
    if (column > next) spans.push({ from: next, gap: column - next })
    if (column < count) spans.push({ column })
    next = column + 1
  }
  return spans
}

/**
 * The columns in sight of a sheet that scrolls, with one to spare at each side.
 * The kept one is drawn wherever it stands: it holds the focus.
 */
export function useColumnWindow(
  sheet: RefObject<HTMLElement | null>,
  count: number,
  kept: number,
): Span[] {
  const rangeExtractor = useCallback(
    (range: Parameters<typeof defaultRangeExtractor>[0]) => {
      const drawn = new Set(defaultRangeExtractor(range))
      if (kept >= 0 && kept < range.count) drawn.add(kept)
      return [...drawn].sort((a, b) => a - b)
    },
    [kept],
  )
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing compiles this hook
  const columns = useVirtualizer({
    horizontal: true,
    count,
    estimateSize: () => COLUMN_WIDTH,
    paddingStart: NAMES_WIDTH,
    overscan: 1,
    initialRect: { width: 1280, height: 0 },
    getScrollElement: () => sheet.current,
    rangeExtractor,
  })
  return spansOf(
    columns.getVirtualItems().map(({ index }) => index),
    count,
  )
}
