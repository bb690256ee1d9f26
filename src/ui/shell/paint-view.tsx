'use client'

import {
  DndContext,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
  type DndContextProps,
} from '@dnd-kit/core'
import { useCallback, type KeyboardEvent, useEffect, useMemo, useRef } from 'react'
import { reachOf } from '@/core/uses'
import { looksOfSite, useEditor, useEditorState, type Editor, type Trial } from '../editor'
import { SectionLibrary } from '../library'
import { SiteMap } from '../map'
import { Stage } from '../stage'
import {
  basisOf,
  MiddleBar,
  SideView,
  ThingsView,
  trialOfStudy,
  TrialPanel,
  useTrialPreview,
  WaysIn,
} from '../studies'
import { TracePanel } from '../trace'
import { Tray } from '../tray'
import { WordsLayer } from '../writing'
import { deedOfKey, SectionHandles } from '../content'
import { GradientOnPage } from '../paint'
import { dragWords } from './drag-words'
import { drop, lift, slotTarget } from './drags'
import { useBrush } from './use-brush'

/** An address that names a study opens with it on trial; that is where a carried palette arrives. */
function openStudyOfAddress(editor: Editor): void {
  const state = editor.store.getState()
  const { docs } = state
  const { studies } = docs.frame
  const wanted = new URLSearchParams(window.location.search).get('study')
  const study = studies.find(({ id }) => id === wanted)
  if (!study) return
  const reach = reachOf(docs.frame, looksOfSite(state))
  editor.show({ trial: trialOfStudy(basisOf(docs.frame, reach), study) })
}

const NOTHING_IN_HAND = { brush: undefined, dropTarget: undefined }

/** A drag begins after so many pixels: all before is a click. The same object always, else whatever can be dragged is drawn anew. */
const FROM_AFAR = { activationConstraint: { distance: 6 } }

/** What goes on with what is dragged: the same for as long as the view is there. */
function useDrags() {
  const editor = useEditor()
  return useMemo(
    (): DndContextProps => ({
      accessibility: dragWords(editor),
      onDragStart: (event) => lift(editor, event),
      onDragMove: (event) => editor.show({ dropTarget: slotTarget(editor, event) }),
      onDragEnd: (event) => {
        drop(editor, event)
        editor.show(NOTHING_IN_HAND)
      },
      onDragCancel: () => editor.show(NOTHING_IN_HAND),
    }),
    [editor],
  )
}

/** What is newly chosen is told from its title on. */
function Inspector({ trial }: { readonly trial: Trial | undefined }) {
  const inspector = useRef<HTMLElement>(null)
  const chosen = useEditorState(
    ({ selection }) =>
      selection && `${selection.doc}/${selection.section}/${selection.element ?? ''}`,
  )
  // Asking for a place has the whole window laid out at once: only where there is a way back.
  const isScrolled = useRef(false)
  useEffect(() => {
    if (isScrolled.current) inspector.current?.scrollTo({ top: 0 })
  }, [chosen])
  return (
    <aside
      ref={inspector}
      aria-label="Trace"
      onScroll={(event) => {
        isScrolled.current = event.currentTarget.scrollTop > 0
      }}
      className="row-span-2 min-h-0 overflow-y-auto border-l border-edge bg-panel"
    >
      {trial ? <TrialPanel trial={trial} /> : <TracePanel />}
    </aside>
  )
}

/** What is tried and what is in the hand, shown on the page; it follows every move, and nothing around it is drawn anew. */
function Previews() {
  useTrialPreview()
  useBrush()
  return null
}

/** What lies over the page. */
const overPage = (scale: number) => (
  <>
    <SectionHandles scale={scale} />
    <GradientOnPage scale={scale} />
    <WordsLayer scale={scale} />
  </>
)

/** Map, stage, trace and tray: where one colours. */
export function PaintView() {
  const editor = useEditor()
  const onDeed = useCallback((event: KeyboardEvent) => deedOfKey(editor, event), [editor])
  const trial = useEditorState((state) => state.trial)
  const middle = useEditorState((state) => state.middle)
  useEffect(() => openStudyOfAddress(editor), [editor])
  const sensors = useSensors(useSensor(PointerSensor, FROM_AFAR))
  const drags = useDrags()
  return (
    <DndContext
      id="palette-drags"
      sensors={sensors}
      collisionDetection={pointerWithin}
      autoScroll={false}
      {...drags}
    >
      <div className="grid h-full grid-cols-[196px_minmax(0,1fr)_300px] grid-rows-[minmax(0,1fr)_124px]">
        <aside className="min-h-0 border-r border-edge bg-panel">
          <SiteMap onDeed={onDeed} />
        </aside>
        <div className="flex min-h-0 flex-col">
          {(trial || middle !== 'page') && <MiddleBar />}
          <div className="min-h-0 flex-1">
            {middle === 'page' && <Stage onKey={onDeed}>{overPage}</Stage>}
            {middle === 'things' && <ThingsView />}
            {middle === 'side' && <SideView />}
          </div>
        </div>
        <Inspector trial={trial} />
        <div className="@container col-span-2 grid min-w-0 grid-cols-[minmax(0,1fr)_auto] border-t border-edge bg-panel">
          <Tray />
          <div className="w-35 border-l border-edge @min-[800px]:w-73">
            <WaysIn />
          </div>
        </div>
      </div>
      <SectionLibrary />
      <Previews />
    </DndContext>
  )
}
