'use client'

import {
  useCallback,
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type RefObject,
} from 'react'
import type { PageId } from '@/core/site'
import { sectionKey } from '../bands'
import { arrowSteps, useRowWindow } from '../kit'
import { BandButton } from '../map'
import { type Band } from '../bands'
import { placeAt, type Place } from './place'

export interface Miniature {
  readonly id: PageId
  readonly title: string
  readonly bands: readonly Band[]
}

interface MiniaturesProps {
  readonly total: number
  /** A page by its place in the order; undefined until it is known. */
  readonly at: (index: number) => Miniature | undefined
  /** Sections that are chosen, by key. */
  readonly chosen: { readonly has: (key: string) => boolean }
  /** Sections, by key, that are shown in another theme than they have. */
  readonly changing: ReadonlySet<string>
  /** A section is chosen: by itself, or with those that are chosen already. */
  readonly onChoose: (band: Band, page: PageId, more: boolean) => void
  /** The pages that are in view. */
  readonly onRange: (from: number, to: number) => void
}

/** A page and the gap beside it, in CSS pixels. */
const WIDTH = 176
const HEIGHT = 420

/** How many pages stand beside one another. */
function useAcross(box: RefObject<HTMLElement | null>): number {
  const [across, setAcross] = useState(5)
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => {
      const { width } = entry!.contentRect
      setAcross(Math.max(1, Math.floor((width + 16) / WIDTH)))
    })
    observer.observe(box.current!)
    return () => observer.disconnect()
  }, [box])
  return across
}

/** All pages in small. One stop for the tab key: arrow keys walk, with shift they choose on the way, space chooses. */
export function Miniatures(props: MiniaturesProps) {
  const { total, at, chosen, onChoose, onRange } = props
  const scroller = useRef<HTMLDivElement>(null)
  const across = useAcross(scroller)
  const [place, setPlace] = useState<Place>([0, 0])
  const onRows = useCallback(
    (from: number, to: number) => onRange(from * across, Math.min(total, to * across)),
    [onRange, across, total],
  )
  const count = Math.ceil(total / across)
  const {
    rows,
    total: height,
    measure,
    scrollTo,
  } = useRowWindow({
    scroller,
    count,
    height: HEIGHT,
    onRange: onRows,
    above: 16,
  })
  const tabAt: Place = at(place[0])?.bands[place[1]] ? place : [0, 0]

  const onKeyDown = (event: KeyboardEvent) => {
    const step = arrowSteps[event.key]
    if (!step) return
    event.preventDefault()
    const next = placeAt((index) => at(index)?.bands.length, place, step)
    if (!next) return
    setPlace(next)
    scrollTo(Math.floor(next[0] / across))
    // What was out of view is drawn first.
    requestAnimationFrame(() =>
      scroller.current?.querySelector<HTMLElement>(`[data-place="${next.join('/')}"]`)?.focus(),
    )
    const { id, bands } = at(next[0])!
    const band = bands[next[1]]!
    if (event.shiftKey && !chosen.has(sectionKey(band))) onChoose(band, id, true)
  }
  return (
    <div ref={scroller} className="min-h-0 overflow-auto bg-well p-4" onKeyDown={onKeyDown}>
      <ul className="relative" style={{ height }}>
        {rows.map(({ index: row, top }) => (
          <li
            key={row}
            ref={measure}
            data-index={row}
            className="absolute inset-x-0 top-0 pb-4"
            style={{ transform: `translateY(${top}px)` }}
          >
            <ul className="flex gap-4">
              {Array.from({ length: Math.min(across, total - row * across) }, (_, i) => {
                const index = row * across + i
                return (
                  <li key={index} className="w-40 shrink-0">
                    <Page {...props} index={index} tabAt={tabAt} onPlace={setPlace} />
                  </li>
                )
              })}
            </ul>
          </li>
        ))}
      </ul>
    </div>
  )
}

interface PageProps extends MiniaturesProps {
  readonly index: number
  readonly tabAt: Place
  readonly onPlace: (place: Place) => void
}

function Page({ index, tabAt, onPlace, at, chosen, changing, onChoose }: PageProps) {
  const page = at(index)
  if (!page) return <div aria-hidden className="mt-6 h-56 rounded-md bg-hover" />
  const { id, title, bands } = page
  const click = (event: MouseEvent, band: Band, j: number) => {
    onPlace([index, j])
    onChoose(band, id, event.shiftKey || event.ctrlKey || event.metaKey)
  }
  return (
    <>
      <h2 className="mb-1.5 truncate font-bold" title={title}>
        {title}
      </h2>
      <div className="rounded-md shadow-sm">
        {bands.map((band, j) => {
          const key = sectionKey(band)
          const isEnd = band.kind !== 'band'
          const isPart = !isEnd && band.doc === 'frame'
          const told = `${changing.has(key) ? '→ ' : isPart ? 'part, ' : ''}${band.themeName}`
          return (
            <BandButton
              key={key}
              band={band}
              chosen={chosen.has(key)}
              told={isEnd ? undefined : told}
              aria-label={`${band.name} of ${title}: ${band.blends ? 'blends' : told}`}
              className={`first:rounded-t-md last:rounded-b-md ${isEnd ? 'h-8' : 'h-14'}`}
              data-place={`${index}/${j}`}
              tabIndex={tabAt[0] === index && tabAt[1] === j ? 0 : -1}
              onFocus={() => onPlace([index, j])}
              onClick={(event) => click(event, band, j)}
            />
          )
        })}
      </div>
    </>
  )
}
