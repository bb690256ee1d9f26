'use client'

import { useRef, useState, type KeyboardEvent, type MouseEvent } from 'react'
import { sectionKey } from '../editor'
import { arrowSteps } from '../kit'
import { BandButton, type Band } from '../map'
import { placeAt, type Place } from './place'

export interface Miniature {
  readonly id: string
  readonly title: string
  readonly bands: readonly Band[]
}

interface MiniaturesProps {
  readonly pages: readonly Miniature[]
  /** Keys of the sections that are chosen. */
  readonly chosen: ReadonlySet<string>
  /** Keys of the sections whose theme is proposed, not yet given. */
  readonly proposed: ReadonlySet<string>
  /** A section is chosen: by itself, or with those that are chosen already. */
  readonly onChoose: (band: Band, page: string, more: boolean) => void
}

/** All pages in small. One stop for the tab key: arrow keys walk, with shift they choose on the way, space chooses. */
export function Miniatures({ pages, chosen, proposed, onChoose }: MiniaturesProps) {
  const list = useRef<HTMLUListElement>(null)
  const [at, setAt] = useState<Place>([0, 0])
  const tabAt: Place = pages[at[0]]?.bands[at[1]] ? at : [0, 0]

  const onKeyDown = (event: KeyboardEvent) => {
    const step = arrowSteps[event.key]
    const next =
      step &&
      placeAt(
        pages.map(({ bands }) => bands.length),
        at,
        step,
      )
    if (step) event.preventDefault()
    if (!next) return
    setAt(next)
    list.current?.querySelector<HTMLElement>(`[data-place="${next.join('/')}"]`)?.focus()
    const { id, bands } = pages[next[0]]!
    const band = bands[next[1]]!
    if (event.shiftKey && !chosen.has(sectionKey(band))) onChoose(band, id, true)
  }
  const click = (event: MouseEvent, band: Band, page: string, place: Place) => {
    setAt(place)
    onChoose(band, page, event.shiftKey || event.ctrlKey || event.metaKey)
  }
  return (
    <ul ref={list} className="flex flex-wrap gap-4" onKeyDown={onKeyDown}>
      {pages.map(({ id, title, bands }, i) => (
        <li key={id} className="w-40">
          <h2 className="mb-1.5 truncate font-bold">{title}</h2>
          <div className="rounded-md shadow-sm">
            {bands.map((band, j) => {
              const key = sectionKey(band)
              const isShared = band.doc === 'frame'
              const told = proposed.has(key) ? `→ ${band.themeName}` : band.themeName
              return (
                <BandButton
                  key={key}
                  band={band}
                  chosen={chosen.has(key)}
                  told={isShared ? undefined : told}
                  aria-label={`${band.name} of ${title}: ${band.blends ? 'blends' : told}`}
                  className={`first:rounded-t-md last:rounded-b-md ${isShared ? 'h-8' : 'h-14'}`}
                  data-place={`${i}/${j}`}
                  tabIndex={tabAt[0] === i && tabAt[1] === j ? 0 : -1}
                  onFocus={() => setAt([i, j])}
                  onClick={(event) => click(event, band, id, [i, j])}
                />
              )
            })}
          </div>
        </li>
      ))}
    </ul>
  )
}
