'use client'

import { kindOf } from '@/core/elements'
import { facetsOf, readingOf, shownFacets, traceFacet, type Spot } from '@/core/resolve'
import { writeHex, writeRatio } from '@/core/color'
import { bodyOf, childrenOf, walkSection, type SiteElement, type State } from '@/core/site'
import { useState } from 'react'
import { useStore } from 'zustand'
import { spotOfSelection, useEditor, useEditorState, useSpots, type Selection } from '../editor'
import { ContentPanel, DeedBar, PartNote } from '../content'
import { Swatch } from '../kit'
import { findOverrule, stageStore } from '../stage'
import { Chain } from './chain'
import { ChangeFor } from './change-for'
import { Remedies } from './remedies'
import { SectionTheme } from './section-theme'
import { TextColors } from './later-text-colors'

/** Why a thing on the stage has its colour, and where to change that. */
export function TracePanel() {
  const selection = useEditorState((state) => state.selection)
  const spots = useSpots()
  const spot = selection && spotOfSelection(spots, selection)
  if (!selection || !spot) return <Nothing />
  const body = bodyOf(spot.docs, spot.doc)
  const element = selection.element && body?.elements[selection.element]
  return (
    <Traced
      key={`${selection.doc}/${selection.element ?? selection.section}`}
      spot={spot}
      selection={selection}
      element={element || undefined}
    />
  )
}

function Nothing() {
  return (
    <div className="p-4">
      <h2 className="text-[15px] font-bold">Why this colour?</h2>
      <p className="mt-2 text-soft">
        Click anything on the page. Its colours show here, with the chain of decisions behind each
        and how far a change would reach.
      </p>
      <p className="mt-2 text-soft">
        Drag a slot from the tray onto anything to bind it. Hover a slot to see all it colours.
      </p>
    </div>
  )
}

interface TracedProps {
  readonly spot: Spot
  readonly selection: Selection
  readonly element?: SiteElement
}

function Traced({ spot, selection, element }: TracedProps) {
  const [state, setState] = useState<State>('rest')
  const stage = useStore(stageStore, (held) => held.stage)
  // What the stage computes is asked again after each drawing; before it, the stage holds the old page.
  useStore(stageStore, (held) => held.drawing)
  const facets = shownFacets(element)
  const facet = facets.find(({ key }) => key === selection.facet) ?? facets[0]
  const kind = element ? kindOf(element.kind) : undefined
  const isPart = spot.doc === 'frame' && spot.section.kind === 'band'
  const name = element && kind ? kind.title(element.content) : spot.section.name
  const trace = facet && traceFacet(spot, element, facet, state)
  // A fill is judged by what stands on it.
  const judged =
    facet?.paints === 'fill' ? facets.find(({ on, pseudo }) => on === facet.key && !pseudo) : facet
  const reading =
    element && judged && readingOf(spot, element, traceFacet(spot, element, judged, state))
  const overrule =
    trace && stage ? findOverrule(stage, selection, trace, spot.docs.frame.customCss) : undefined
  const hovers =
    !!facet &&
    (!!facet.hover ||
      traceFacet(spot, element, facet, 'hover').chain.some((d) => d.state === 'hover' && d.set))
  return (
    <div className="flex flex-col gap-2.5 p-4" data-testid="trace">
      <header>
        <h2 className="truncate text-[15px] font-bold" title={name}>
          {name}
        </h2>
        <p className="text-soft">
          {kind ? kind.label.toLowerCase() : isPart ? 'part' : 'section'}{' '}
          {element ? `in ${spot.section.name}` : ''}
        </p>
      </header>
      <DeedBar selection={selection} />
      <PartNote selection={selection} section={spot.section} />
      {element && <ContentPanel doc={selection.doc} element={element} />}
      {!element && <SectionTheme spot={spot} />}
      {facets.length > 0 && (
        <FacetChoice spot={spot} selection={selection} element={element} chosen={facet?.key} />
      )}
      {trace && (
        <>
          <StateChoice state={state} hovers={hovers} onChoose={setState} />
          <Chain
            trace={trace}
            thing={kind ? kind.label.toLowerCase() : 'section'}
            overrule={overrule}
          />
          {reading && (
            <ReadingLine
              reading={reading}
              on={judged === facet ? 'On its ground' : `${judged?.label} on it`}
            />
          )}
          {element && judged && (
            <Remedies
              key={`${judged.key}/${state}`}
              spot={spot}
              selection={selection}
              element={element}
              facet={judged}
              state={state}
              words={name}
            />
          )}
          <ChangeFor spot={spot} selection={selection} element={element} trace={trace} />
        </>
      )}
      {element?.kind === 'embed' && <TextColors selection={selection} element={element} />}
      {!element && <SectionContents spot={spot} />}
    </div>
  )
}

interface FacetChoiceProps extends TracedProps {
  readonly chosen?: string
}

/** The colours of a thing, one of which is traced. */
function FacetChoice({ spot, selection, element, chosen }: FacetChoiceProps) {
  const editor = useEditor()
  return (
    <div role="group" aria-label="Colours of this thing" className="flex flex-wrap gap-1">
      {shownFacets(element).map((each) => {
        const { color } = traceFacet(spot, element, each, 'rest')
        return (
          <button
            key={each.key}
            type="button"
            aria-pressed={each.key === chosen}
            onClick={() => editor.show({ selection: { ...selection, facet: each.key } })}
            className="flex h-6.5 items-center gap-1.5 rounded-md border border-edge-strong/60 bg-raised px-1.5 text-[12px] font-semibold hover:bg-hover aria-pressed:border-strong aria-pressed:ring-1 aria-pressed:ring-strong"
          >
            <Swatch color={color ? writeHex(color) : 'transparent'} size={12} />
            {each.label}
          </button>
        )
      })}
    </div>
  )
}

interface StateChoiceProps {
  readonly state: State
  /** Whether anything decides for the pointer over it. */
  readonly hovers: boolean
  readonly onChoose: (state: State) => void
}

function StateChoice({ state, hovers, onChoose }: StateChoiceProps) {
  return (
    <div role="group" aria-label="State" className="flex gap-4 border-b border-edge">
      {(['rest', 'hover'] as const).map((each) => (
        <button
          key={each}
          type="button"
          aria-pressed={state === each}
          onClick={() => onChoose(each)}
          className="-mb-px border-b-2 border-transparent pb-1 text-soft aria-pressed:border-ink aria-pressed:font-semibold aria-pressed:text-ink"
        >
          {each === 'rest' ? 'At rest' : `Pointer over${hovers ? '' : ' (same)'}`}
        </button>
      ))}
    </div>
  )
}

interface ReadingLineProps {
  readonly reading: NonNullable<ReturnType<typeof readingOf>>
  readonly on: string
}

/** How well it reads, with what it would need. */
function ReadingLine({ reading: { ratio, needs }, on }: ReadingLineProps) {
  const verdict =
    needs === undefined
      ? 'decoration'
      : ratio >= needs
        ? '✓ reads well, AA'
        : `× hard to read, needs ${needs}`
  return (
    <p className="flex items-baseline justify-between border-y border-edge py-2">
      <span>{on}</span>
      <span>
        <b className="code">{writeRatio(ratio)}</b> {verdict}
      </span>
    </p>
  )
}

/** Everything in a section by name: the way to a trace without a pointer. */
function SectionContents({ spot }: { readonly spot: Spot }) {
  const editor = useEditor()
  const body = bodyOf(spot.docs, spot.doc)
  if (!body) return null
  const elements: SiteElement[] = []
  walkSection(body, spot.section, (element) => elements.push(element))
  const traced = elements.filter((element) => facetsOf(element).length > 0)
  if (childrenOf(body, spot.section.children).length === 0) return null
  return (
    <div>
      <h3 className="mb-1.5 text-xs font-semibold text-soft">In this section</h3>
      <ul className="grid gap-px">
        {traced.map((element) => (
          <li key={element.id}>
            <button
              type="button"
              onClick={() =>
                editor.show({
                  selection: { doc: spot.doc, section: spot.section.id, element: element.id },
                })
              }
              className="flex w-full gap-2 rounded px-1.5 py-1 text-left hover:bg-hover"
            >
              <span className="w-24 shrink-0 truncate text-soft">{kindOf(element.kind).label}</span>
              <span className="truncate">{kindOf(element.kind).title(element.content)}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
