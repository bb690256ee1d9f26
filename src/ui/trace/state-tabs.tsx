'use client'

import { kindOf } from '@/core/elements'
import type { Spot } from '@/core/resolve'
import type { SiteElement } from '@/core/site'
import { stateWords, type State } from '@/core/traits'
import { useEditor } from '../editor'
import { differencesIn } from './traced'

const SHORT: Readonly<Record<State, string>> = {
  rest: 'At rest',
  hover: 'Over',
  focus: 'Focus',
  pressed: 'Pressed',
  disabled: 'Off',
}

/** The states that a kind of thing can be in: only what can be sent or typed into is ever off. */
function statesOf(element: SiteElement | undefined): readonly State[] {
  if (!element) return ['rest']
  const { facets, features = [] } = kindOf(element.kind)
  const isActed = features.some(({ trait }) => trait === 'duration')
  const isSent = facets.some(({ role }) => role === 'buttonFill' || role === 'quietFill')
  if (!isActed) return ['rest', 'hover']
  return ['rest', 'hover', 'focus', 'pressed', ...(isSent ? ['disabled' as const] : [])]
}

interface StateTabsProps {
  readonly spot: Spot
  readonly element?: SiteElement
  readonly state: State
}

/** In which state a thing is looked at, each with how much looks another way in it. */
export function StateTabs({ spot, element, state }: StateTabsProps) {
  const editor = useEditor()
  const all = statesOf(element)
  if (all.length < 2) return null
  const differences = differencesIn(spot, element)
  return (
    <div role="group" aria-label="State" className="flex gap-3 border-b border-edge">
      {all.map((each) => (
        <button
          key={each}
          type="button"
          aria-pressed={state === each}
          aria-label={`${each === 'rest' ? 'At rest' : capital(stateWords[each])}${differences[each] ? `, ${differences[each]} another way` : ''}`}
          title={each === 'rest' ? 'At rest' : capital(stateWords[each])}
          onClick={() => editor.show({ state: each })}
          className="-mb-px border-b-2 border-transparent pb-1 whitespace-nowrap text-soft aria-pressed:border-ink aria-pressed:font-semibold aria-pressed:text-ink"
        >
          {SHORT[each]}
          {differences[each] > 0 && ` · ${differences[each]}`}
        </button>
      ))}
    </div>
  )
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
