'use client'

import { ArrowRight } from 'lucide-react'
import { useCallback, useRef } from 'react'
import type { DryRun, HitCount, HitLine } from '@/core/payloads'
import { placeNames } from '@/core/uses'
import { Swatch, useRowWindow, Notice } from '../kit'
import { isTicked, tickedIn, tickHit, tickPlace, type TickState } from './ticks'
import { useHits } from './use-hits'

interface HitListProps {
  readonly run: DryRun
  readonly ticks: TickState
  readonly onTick: (ticks: TickState) => void
}

type Row = { readonly place: HitCount } | { readonly hit: number }

const ROW = 31

/** A heading for each place and a row for each of its hits, told by number. */
function rowAt(places: readonly HitCount[], index: number): Row | undefined {
  let [at, first] = [index, 0]
  for (const place of places) {
    if (at === 0) return { place }
    if (at <= place.count) return { hit: first + at - 1 }
    at -= place.count + 1
    first += place.count
  }
  return undefined
}

/** The number of hits above a row. */
function hitsAbove(places: readonly HitCount[], index: number): number {
  let [at, hits] = [index, 0]
  for (const { count } of places) {
    if (at <= count) return hits + Math.max(0, at - 1)
    at -= count + 1
    hits += count
  }
  return hits
}

/** Every hit of the dry run, by place, each with before and after; of many, only those in view are asked for and drawn. */
export function HitList({ run, ticks, onTick }: HitListProps) {
  const scroller = useRef<HTMLDivElement>(null)
  const { hits, failure, need } = useHits(run)
  const { places, count } = run
  const onRange = useCallback(
    (from: number, to: number) => need(hitsAbove(places, from), hitsAbove(places, to)),
    [need, places],
  )
  const { rows, total } = useRowWindow({
    scroller,
    count: places.length + count,
    height: ROW,
    onRange,
  })
  return (
    <div ref={scroller} className="min-h-0 flex-1 overflow-y-auto">
      {failure && <Notice className="mb-2">{failure}</Notice>}
      <ul aria-label="Hits" className="relative" style={{ height: total }}>
        {rows.map(({ index, top }) => {
          const row = rowAt(places, index)
          return (
            <li
              key={index}
              className="absolute inset-x-0 top-0"
              style={{ height: ROW, transform: `translateY(${top}px)` }}
            >
              {row && 'place' in row && (
                <PlaceRow place={row.place} ticks={ticks} onTick={onTick} />
              )}
              {row && 'hit' in row && (
                <HitRow hit={hits.get(row.hit)} ticks={ticks} onTick={onTick} />
              )}
            </li>
          )
        })}
      </ul>
    </div>
  )
}

interface PlaceRowProps extends Pick<HitListProps, 'ticks' | 'onTick'> {
  readonly place: HitCount
}

function PlaceRow({ place, ticks, onTick }: PlaceRowProps) {
  const { count } = tickedIn(ticks, place)
  return (
    <label className="flex h-full items-center gap-2.5 border-b border-edge-strong/50 font-bold">
      <input
        type="checkbox"
        className="size-4 accent-(--strong)"
        checked={count === place.count}
        ref={(box) => {
          if (box) box.indeterminate = count > 0 && count < place.count
        }}
        onChange={(event) => onTick(tickPlace(ticks, place.place, event.target.checked))}
      />
      {placeNames[place.place]}{' '}
      <span className="code font-normal text-soft">{place.count.toLocaleString('en-GB')}</span>
    </label>
  )
}

interface HitRowProps extends Pick<HitListProps, 'ticks' | 'onTick'> {
  readonly hit: HitLine | undefined
}

function HitRow({ hit, ticks, onTick }: HitRowProps) {
  if (!hit) return <span className="my-1.5 block h-4 w-2/3 rounded bg-hover" />
  return (
    <label className="grid h-full grid-cols-[16px_minmax(0,2fr)_minmax(0,3fr)_auto] items-center gap-2.5 border-b border-edge hover:bg-hover">
      <input
        type="checkbox"
        className="size-4 accent-(--strong)"
        checked={isTicked(ticks, hit)}
        onChange={(event) => onTick(tickHit(ticks, hit, event.target.checked))}
      />
      <span className="truncate" title={hit.label}>
        {hit.label}
      </span>
      <Written hit={hit} />
      <span className="flex items-center gap-1.5">
        <Swatch color={hit.beforeColor} size={18} />
        <ArrowRight size={13} aria-hidden />
        <Swatch color={hit.afterColor} size={18} />
      </span>
    </label>
  )
}

/** What is written there now, the colour marked, then what it becomes. */
function Written({ hit }: { readonly hit: HitLine }) {
  const { context, textAt = 0, before, after } = hit
  const title = `${before} becomes ${after}`
  if (context === undefined) {
    return (
      <span className="code truncate" title={title}>
        {before} → {after}
      </span>
    )
  }
  return (
    <span className="code truncate" title={title}>
      {context.slice(0, textAt)}
      <mark className="rounded-sm bg-strong px-1 text-on-strong">{before}</mark>
      {context.slice(textAt + before.length)}
    </span>
  )
}
