'use client'

import { ChevronRight } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import { valueWords } from '@/core/edit'
import { isFeature, type Property } from '@/core/elements'
import type { Spot } from '@/core/resolve'
import type { LookValue, Paint, SiteElement, TraitValues } from '@/core/site'
import {
  fluidSize,
  traitGroups,
  traits,
  written,
  type Settings,
  type State,
  type TraitGroup,
} from '@/core/traits'
import { useEditorState } from '../editor'
import { Swatch } from '../kit'
import { paintBackground } from '../look'
import { Mark, whereOf } from './mark'
import { deciderOf, isOfState, ledgerOf, type Traced } from './traced'

interface LedgerProps {
  readonly spot: Spot
  readonly element?: SiteElement
  readonly state: State
  /** The property that is unfolded, by its key. */
  readonly chosen?: string
  readonly onChoose: (key: string | undefined) => void
  /** What a chosen line unfolds into. */
  readonly unfold: (trace: Traced) => ReactNode
}

type Group = 'paint' | TraitGroup

const groupOf = (property: Property): Group =>
  isFeature(property) ? traits[property.trait].group : 'paint'

const GROUPS: ReadonlyArray<readonly [Group, string]> = [['paint', 'Paint'], ...traitGroups]

/** How a thing looks, a line for each property that somebody decided; the chosen one is unfolded. */
export function Ledger({ spot, element, state, chosen, onChoose, unfold }: LedgerProps) {
  const [open, setOpen] = useState(false)
  const { lines, folded } = ledgerOf(spot, element, state)
  // One that was chosen in another state, or found by its name, keeps its line.
  const shown = [...lines, ...folded.filter(({ property }) => property.key === chosen || open)]
  const rest = folded.length
  return (
    <div className="grid gap-3">
      {GROUPS.map(([group, title]) => {
        const own = shown.filter(({ property }) => groupOf(property) === group)
        if (own.length === 0) return null
        return (
          <section key={group} aria-label={title} className="grid gap-1">
            <h3 className="text-xs font-semibold text-soft">{title}</h3>
            <ul className="overflow-hidden rounded-lg border border-edge-strong/60 bg-raised">
              {own.map((trace) => {
                const { key } = trace.property
                const isOpen = key === chosen
                return (
                  <li key={key} className="border-b border-edge last:border-b-0">
                    <LedgerLine
                      trace={trace}
                      element={element}
                      isOpen={isOpen}
                      onToggle={() => onChoose(isOpen ? undefined : key)}
                    />
                    {isOpen && <div className="p-2.5">{unfold(trace)}</div>}
                  </li>
                )
              })}
            </ul>
          </section>
        )
      })}
      {rest > 0 && (
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="flex items-center gap-1 text-left text-soft hover:text-ink"
        >
          <ChevronRight size={14} aria-hidden className={open ? 'rotate-90' : ''} />
          {open ? 'Only what somebody decided' : `${rest} more that nobody decided`}
        </button>
      )}
    </div>
  )
}

/** What the words leave out: the code of a loose colour, what a step of the scale comes to. */
function detailOf(property: Property, value: LookValue, settings: Settings): string {
  if (!isFeature(property) || property.trait !== 'size') return ''
  const { narrow, wide } = fluidSize(settings, value as TraitValues['size'])
  if (typeof value === 'object' && 'px' in value) return ''
  return narrow === wide ? `${written(wide, 0)}` : `${written(narrow, 0)}–${written(wide, 0)}`
}

interface GlyphProps {
  readonly property: Property
  readonly value: LookValue | undefined
}

/** A property's value drawn small: a paint as a patch, a corner as a corner. */
function Glyph({ property, value }: GlyphProps) {
  const siteId = useEditorState((editor) => editor.siteId)
  const palette = useEditorState((editor) => editor.docs.frame.palette)
  if (!isFeature(property)) {
    return <Swatch color={paintBackground(siteId, palette, value as Paint)} />
  }
  if (property.trait === 'corner' && typeof value === 'number') {
    return (
      <span
        aria-hidden
        className="size-3.5 border-t-2 border-l-2 border-current"
        style={{ borderTopLeftRadius: Math.min(14, value / 1.6) }}
      />
    )
  }
  if (property.trait === 'face') return <span aria-hidden>a</span>
  return <span aria-hidden />
}

interface LedgerLineProps {
  readonly trace: Traced
  readonly element?: SiteElement
  readonly isOpen: boolean
  readonly onToggle: () => void
}

function LedgerLine({ trace, isOpen, onToggle }: LedgerLineProps) {
  const docs = useEditorState((editor) => editor.docs)
  const { property, value } = trace
  const words = value === undefined ? 'not set' : valueWords(property, value, docs)
  const more = value === undefined ? '' : detailOf(property, value, docs.frame.settings)
  const asAtRest = trace.state !== 'rest' && !isOfState(trace)
  return (
    <button
      type="button"
      aria-expanded={isOpen}
      data-property={property.key}
      onClick={onToggle}
      className={`grid w-full grid-cols-[84px_20px_minmax(0,1fr)_auto] items-center gap-1.5 px-2.5 py-1 text-left hover:bg-hover ${isOpen ? 'bg-strong text-on-strong hover:bg-strong' : ''}`}
    >
      <span className="truncate" title={property.label}>
        {property.label}
      </span>
      <Glyph property={property} value={value} />
      <span
        className={`truncate ${asAtRest && !isOpen ? 'text-soft' : 'font-semibold'}`}
        title={words}
      >
        {words} {more && <span className="code text-[11px] font-normal">{more}</span>}
      </span>
      <Mark where={whereOf(deciderOf(trace), trace.setting)} />
    </button>
  )
}
