'use client'

import { Fragment, useEffect } from 'react'
import { useStore } from 'zustand'
import { writeRatio } from '@/core/color'
import { isFeature, kindOf } from '@/core/elements'
import {
  facetsOf,
  propertiesOfThing,
  readingOf,
  shownFacets,
  traceFacet,
  type Spot,
} from '@/core/resolve'
import { bodyOf, childrenOf, walkSection, type SiteElement } from '@/core/site'
import type { State } from '@/core/traits'
import { ContentPanel, DeedBar, PartNote } from '../content'
import {
  NO_PROPERTY,
  spotOfSelection,
  useEditor,
  useEditorState,
  useSpots,
  type Selection,
} from '../editor'
import {
  findOverrule,
  holdState,
  selectedNode,
  stageStore,
  useStanding,
  type OnStage,
} from '../stage'
import { Chain } from './chain'
import { ChangeFor } from './change-for'
import { SnippetCode, TextColors } from './later-text-colors'
import { Ledger } from './ledger'
import { Remedies } from './remedies'
import { SectionTheme } from './section-theme'
import { StateTabs } from './state-tabs'
import { StyleChoice } from './style-choice'
import type { Traced } from './traced'

/** Why a thing on the stage has its colour, and where to change that. */
export function TracePanel() {
  const selection = useEditorState((state) => state.selection)
  const spots = useSpots()
  const spot = selection && spotOfSelection(spots, selection)
  if (!selection || !spot) return <Nothing />
  const body = bodyOf(spot.docs, spot.doc)
  const element = selection.element && body?.elements[selection.element]
  return <TracedThing spot={spot} selection={selection} element={element || undefined} />
}

function Nothing() {
  return (
    <div className="p-4">
      <h2 className="text-[15px] font-bold">Why does it look so?</h2>
      <p className="mt-2 text-soft">
        Click anything on the page. Its colours, shapes and type show here, each with the chain of
        decisions behind it and how far a change would reach.
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

function TracedThing({ spot, selection, element }: TracedProps) {
  const editor = useEditor()
  const state = useEditorState((held) => held.state) ?? 'rest'
  const also = useEditorState((held) => held.also)
  const kind = element ? kindOf(element.kind) : undefined
  const isPart = spot.doc === 'frame' && spot.section.kind === 'band'
  const name = element && kind ? kind.title(element.content) : spot.section.name
  useHeldState(selection, state)
  const choose = (property: string | undefined) =>
    editor.show({ selection: { ...selection, property: property ?? NO_PROPERTY } })
  return (
    <div className="flex flex-col gap-2.5 p-4" data-testid="trace">
      <header>
        <h2 className="truncate text-[15px] font-bold" title={name}>
          {name}
          {also?.length ? ` and ${also.length} more` : ''}
        </h2>
        <p className="text-soft [overflow-wrap:anywhere]">
          {kind ? kind.label.toLowerCase() : isPart ? 'part' : 'section'}{' '}
          {element ? `in ${spot.section.name}` : ''}
          {element && <StyleChoice selection={selection} element={element} />}
        </p>
      </header>
      <DeedBar selection={selection} />
      <PartNote selection={selection} section={spot.section} />
      {/* What has been opened or begun for one thing is not for the next; what is above is the same for all. */}
      <Fragment key={`${selection.doc}/${selection.element ?? selection.section}`}>
        {element && <ContentPanel doc={selection.doc} element={element} />}
        {!element && <SectionTheme spot={spot} />}
        <StateTabs spot={spot} element={element} state={state} />
        <Ledger
          spot={spot}
          element={element}
          state={state}
          chosen={chosenKey(selection, element)}
          onChoose={choose}
          unfold={(trace) => (
            <Entry spot={spot} selection={selection} element={element} trace={trace} words={name} />
          )}
        />
        {element?.kind === 'embed' && (
          <>
            <SnippetCode doc={selection.doc} element={element} />
            <TextColors selection={selection} element={element} />
          </>
        )}
        {!element && <SectionContents spot={spot} />}
      </Fragment>
    </div>
  )
}

/** What is unfolded where nobody said: the first colour. */
function chosenKey({ property }: Selection, element: SiteElement | undefined): string | undefined {
  const all = propertiesOfThing(element)
  if (property === NO_PROPERTY) return undefined
  return (all.find(({ key }) => key === property) ?? shownFacets(element)[0])?.key
}

/** Holds what is chosen in the state that it is looked at in, on the stage. */
function useHeldState(selection: Selection, state: State): void {
  const stage = useStore(stageStore, (held) => held.stage)
  const drawing = useStore(stageStore, (held) => held.drawing)
  const { doc, section, element } = selection
  useEffect(() => {
    if (!stage) return undefined
    holdState(stage.document, selectedNode(stage.document, { doc, section, element }), state)
    return () => holdState(stage.document, null, 'rest')
  }, [stage, drawing, doc, section, element, state])
}

interface EntryProps extends TracedProps {
  readonly trace: Traced
  /** The thing in words. */
  readonly words: string
}

/** All of one property: why it is so, how well it reads, how far a change goes, and what to change it to. */
function Entry({ spot, selection, element, trace, words }: EntryProps) {
  const stage = useStore(stageStore, (held) => held.stage)
  // What the stage computes is asked again after each drawing; before it, the stage holds the old page.
  useStore(stageStore, (held) => held.drawing)
  const { color, state } = trace
  const { customCss } = spot.docs.frame
  const { property } = trace
  const asked = color ? { color } : isFeature(property) ? { feature: property, state } : undefined
  const overrule = stage && asked ? findOverrule(stage, selection, asked, customCss) : undefined
  const facets = shownFacets(element)
  // A fill is judged by what stands on it.
  const judged =
    color?.facet.paints === 'fill'
      ? facets.find(({ on, pseudo }) => on === color.facet.key && !pseudo)
      : color?.facet
  const onStage = useStanding({ spot, selection, element, facet: judged, state })
  const standing = onStage?.standing
  const reading =
    element &&
    judged &&
    readingOf(spot, element, traceFacet(spot, element, judged, state), { standing })
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2.5">
      <Chain
        trace={trace}
        thing={element ? kindOf(element.kind).label.toLowerCase() : 'section'}
        overrule={overrule}
      />
      {reading && (
        <ReadingLine
          reading={reading}
          of={`${element!.id}/${judged!.key}`}
          on={judged === color?.facet ? 'On its ground' : `${judged?.label} on it`}
          where={whereWords(reading, onStage)}
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
          standing={standing}
          words={words}
        />
      )}
      <ChangeFor
        key={`${trace.property.key}/${state}`}
        spot={spot}
        selection={selection}
        element={element}
        trace={trace}
      />
    </div>
  )
}

const WINDOWS = {
  wide: 'a desktop',
  tablet: 'a tablet',
  phone: 'a phone',
} as const

/** Where a reading is from, where that is not the same everywhere. */
function whereWords(
  { window }: NonNullable<ReturnType<typeof readingOf>>,
  onStage: OnStage | undefined,
): string | undefined {
  const shown = onStage?.standing.below ?? 'wide'
  if (window && (!onStage || window !== shown)) return `On ${WINDOWS[window]}, the worst of all.`
  if (!onStage) return undefined
  return onStage.unseen
    ? 'The picture is not there to be looked at: this is against the colour under it.'
    : `At the worst point of where it stands, on ${WINDOWS[shown]}.`
}

interface ReadingLineProps {
  /** The element and its property that is read. */
  readonly of: string
  readonly reading: NonNullable<ReturnType<typeof readingOf>>
  readonly on: string
  /** Where it was measured, in words, where it is not the same everywhere. */
  readonly where?: string
}

/** How well it reads, with what it would need. */
function ReadingLine({ of, reading: { ratio, needs }, on, where }: ReadingLineProps) {
  const verdict =
    needs === undefined
      ? 'decoration'
      : ratio >= needs
        ? '✓ passes AA'
        : `× too low, needs ${needs}`
  return (
    <p
      data-reading={of}
      className="flex flex-wrap items-baseline justify-between gap-x-3 border-y border-edge py-2"
    >
      <span>{on}</span>
      <span>
        <b className="code">{writeRatio(ratio)}</b> {verdict}
      </span>
      {where && <span className="basis-full text-xs text-soft">{where}</span>}
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
