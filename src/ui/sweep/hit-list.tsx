'use client'

import { ArrowRight, SquareArrowOutUpRight } from 'lucide-react'
import { useCallback, useMemo, useRef } from 'react'
import { toast } from 'sonner'
import type { DryRun, HitLine } from '@/core/payloads'
import { fitsFilter, mostRules, type Cell, type UseFilter } from '@/core/sweep'
import { placeIds, placeNames, type PlaceId } from '@/core/uses'
import { Button, IconButton, Swatch, useRowWindow, Notice } from '../kit'
import { facetWords } from './facet-words'
import { isTicked, tickedIn, tickHit, tickPart, type TickState } from './ticks'
import { useHits } from './use-hits'

interface HitListProps {
  readonly run: DryRun
  readonly cells: readonly Cell[]
  readonly filter: UseFilter
  readonly titleOf: (doc: string) => string
  readonly ticks: TickState
  readonly onTick: (ticks: TickState) => void
  readonly onFilter: (filter: UseFilter) => void
  /** Goes to where a use stands. */
  readonly onOpen: (hit: HitLine) => void
}

/** The hits of one place. */
interface PlaceCount {
  readonly place: PlaceId
  readonly count: number
}

type Row = { readonly place: PlaceCount } | { readonly hit: number }

const ROW = 31

/** A heading for each place and a row for each of its hits, told by number. */
function rowAt(places: readonly PlaceCount[], index: number): Row | undefined {
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
function hitsAbove(places: readonly PlaceCount[], index: number): number {
  let [at, hits] = [index, 0]
  for (const { count } of places) {
    if (at <= count) return hits + Math.max(0, at - 1)
    at -= count + 1
    hits += count
  }
  return hits
}

/** The places that have hits which fit a filter, in their order. */
function placesOf(cells: readonly Cell[], filter: UseFilter): PlaceCount[] {
  const counts = new Map<PlaceId, number>()
  for (const cell of cells) {
    if (fitsFilter(filter, cell)) counts.set(cell.place, (counts.get(cell.place) ?? 0) + cell.count)
  }
  return placeIds.flatMap((place) => {
    const count = counts.get(place)
    return count ? [{ place, count }] : []
  })
}

/** Every hit of the dry run that fits the filter, by place, each with before and after; of many, only those in view are asked for and drawn. */
export function HitList(props: HitListProps) {
  const { run, cells, filter, titleOf, ticks, onTick, onFilter, onOpen } = props
  const scroller = useRef<HTMLDivElement>(null)
  const { hits, failure, need } = useHits(run, filter)
  const places = useMemo(() => placesOf(cells, filter), [cells, filter])
  const count = places.reduce((sum, each) => sum + each.count, 0)
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
  const tick = (where: UseFilter, take: boolean) => {
    const next = tickPart(ticks, where, take)
    if (next) onTick(next)
    else
      toast.error(`No more than ${mostRules} parts can be ticked apart. Tick all, then begin anew.`)
  }
  return (
    <>
      {Object.keys(filter).length > 0 && (
        <FilterBar
          filter={filter}
          titleOf={titleOf}
          count={count}
          ticked={tickedIn(ticks, cells, filter).count}
          onTick={(take) => tick(filter, take)}
          onClear={() => onFilter({})}
        />
      )}
      <div ref={scroller} className="min-h-40 flex-1 overflow-y-auto">
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
                  <PartTick
                    words={placeNames[row.place.place]}
                    count={row.place.count}
                    ticked={tickedIn(ticks, cells, { ...filter, place: row.place.place }).count}
                    onTick={(take) => tick({ ...filter, place: row.place.place }, take)}
                  />
                )}
                {row && 'hit' in row && (
                  <HitRow hit={hits.get(row.hit)} ticks={ticks} onTick={onTick} onOpen={onOpen} />
                )}
              </li>
            )
          })}
        </ul>
      </div>
    </>
  )
}

interface PartTickProps {
  readonly words: string
  readonly count: number
  readonly ticked: number
  readonly onTick: (take: boolean) => void
}

/** A part of the hits, ticked as a whole, in part, or not. */
function PartTick({ words, count, ticked, onTick }: PartTickProps) {
  return (
    <label className="flex h-full items-center gap-2.5 border-b border-edge-strong/50 font-bold">
      <input
        type="checkbox"
        className="size-4 accent-(--strong)"
        checked={ticked === count}
        ref={(box) => {
          if (box) box.indeterminate = ticked > 0 && ticked < count
        }}
        onChange={(event) => onTick(event.target.checked)}
      />
      {words} <span className="code font-normal text-soft">{count.toLocaleString('en-GB')}</span>
    </label>
  )
}

interface FilterBarProps extends Omit<PartTickProps, 'words'> {
  readonly filter: UseFilter
  readonly titleOf: (doc: string) => string
  readonly onClear: () => void
}

/** What the list is narrowed to, ticked in one go. */
function FilterBar({ filter, titleOf, onClear, ...tick }: FilterBarProps) {
  const { doc, object, paints, state } = filter
  const words = [
    doc && titleOf(doc),
    object && facetWords.object(object),
    paints && facetWords.paints(paints),
    state && facetWords.state(state),
  ].filter(Boolean)
  return (
    <div className="flex h-8 items-center gap-3">
      <div className="min-w-0 flex-1 truncate">
        <PartTick words={`All of these: ${words.join(', ')}`} {...tick} />
      </div>
      <Button className="h-7" onClick={onClear}>
        Show all
      </Button>
    </div>
  )
}

interface HitRowProps extends Pick<HitListProps, 'ticks' | 'onTick' | 'onOpen'> {
  readonly hit: HitLine | undefined
}

function HitRow({ hit, ticks, onTick, onOpen }: HitRowProps) {
  if (!hit) return <span className="my-1.5 block h-4 w-2/3 rounded bg-hover" />
  return (
    <div className="group flex h-full items-center gap-1 border-b border-edge hover:bg-hover">
      <label className="grid h-full min-w-0 flex-1 grid-cols-[16px_minmax(0,2fr)_minmax(0,3fr)_auto] items-center gap-2.5">
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
        {hit.beforeColor && hit.afterColor && (
          <span className="flex items-center gap-1.5">
            <Swatch color={hit.beforeColor} size={18} />
            <ArrowRight size={13} aria-hidden />
            <Swatch color={hit.afterColor} size={18} />
          </span>
        )}
      </label>
      <IconButton label={`Go to ${hit.label}`} className="size-7!" onClick={() => onOpen(hit)}>
        <SquareArrowOutUpRight size={14} />
      </IconButton>
    </div>
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
      {!hit.afterColor && <ins className="ml-1 font-bold no-underline">→ {after || 'nothing'}</ins>}
      {context.slice(textAt + before.length)}
    </span>
  )
}
