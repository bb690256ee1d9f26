'use client'

import { ArrowRight } from 'lucide-react'
import type { HitLine } from '@/core/payloads'
import { Swatch } from '../kit'
import { placeOrder, placeWords } from '../words'

interface HitListProps {
  readonly hits: readonly HitLine[]
  readonly without: ReadonlySet<string>
  readonly onToggle: (keys: readonly string[], take: boolean) => void
}

/** Every hit of the dry run, by place, each with before and after. */
export function HitList({ hits, without, onToggle }: HitListProps) {
  const met = new Set(hits.map(({ place }) => place))
  const places = placeOrder.filter((place) => met.has(place))
  return (
    <div className="grid gap-3">
      {places.map((place) => {
        const lines = hits.filter((hit) => hit.place === place)
        const keys = lines.map(({ key }) => key)
        const taken = keys.filter((key) => !without.has(key)).length
        return (
          <section key={place} aria-label={placeWords[place]}>
            <label className="flex items-center gap-2.5 border-b border-edge-strong/50 pb-1 font-bold">
              <input
                type="checkbox"
                className="size-4 accent-(--strong)"
                checked={taken === keys.length}
                ref={(box) => {
                  if (box) box.indeterminate = taken > 0 && taken < keys.length
                }}
                onChange={(event) => onToggle(keys, event.target.checked)}
              />
              {placeWords[place]} <span className="code font-normal text-soft">{keys.length}</span>
            </label>
            <ul>
              {lines.map((hit) => (
                <li key={hit.key}>
                  <label className="grid grid-cols-[16px_minmax(0,2fr)_minmax(0,3fr)_auto] items-center gap-2.5 border-b border-edge py-1 hover:bg-hover">
                    <input
                      type="checkbox"
                      className="size-4 accent-(--strong)"
                      checked={!without.has(hit.key)}
                      onChange={(event) => onToggle([hit.key], event.target.checked)}
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
                </li>
              ))}
            </ul>
          </section>
        )
      })}
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
      {context.slice(textAt + before.length)}
    </span>
  )
}
