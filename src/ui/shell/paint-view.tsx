'use client'

import {
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragMoveEvent,
} from '@dnd-kit/core'
import { toast } from 'sonner'
import type { SlotId } from '@/core/site'
import { useEditor, useEditorState, type Selection } from '../editor'
import { SiteMap } from '../map'
import { hitTest, Stage, stageStore } from '../stage'
import { TrialPanel, useTrialPreview, WaysIn } from '../studies'
import { TracePanel } from '../trace'
import { Tray } from '../tray'
import { editProblemWords } from '../words'

/** Map, stage, trace and tray: where one colours. */
export function PaintView() {
  const editor = useEditor()
  const trial = useEditorState((state) => state.trial)
  useTrialPreview()
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))

  /** What lies on the stage under the pointer that drags a slot. */
  const under = ({
    activatorEvent,
    delta,
  }: DragMoveEvent | DragEndEvent): Selection | undefined => {
    const stage = stageStore.getState().stage
    const overlay = document.querySelector<HTMLElement>('[data-stage-scale]')
    if (!stage || !overlay || !(activatorEvent instanceof PointerEvent)) return undefined
    const [x, y] = [activatorEvent.clientX + delta.x, activatorEvent.clientY + delta.y]
    const bounds = overlay.getBoundingClientRect()
    const view = overlay.closest('[data-testid=stage-scroll]')!.getBoundingClientRect()
    if (x < view.left || x > view.right || y < view.top || y > view.bottom) return undefined
    const scale = Number(overlay.dataset.stageScale)
    const { docs, pageId } = editor.store.getState()
    return hitTest(
      stage.document,
      docs,
      pageId,
      (x - bounds.left) / scale,
      (y - bounds.top) / scale,
    )?.selection
  }

  const drop = (event: DragEndEvent) => {
    editor.store.setState({ dropTarget: undefined })
    const target = under(event)
    if (!target?.facet) return
    const shared = {
      doc: target.doc,
      facet: target.facet,
      state: 'rest',
      paint: { slot: event.active.id as SlotId },
    } as const
    const problem = editor.dispatch(
      target.element
        ? { type: 'setElementColor', ...shared, element: target.element }
        : { type: 'setSectionColor', ...shared, section: target.section },
    )
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    else editor.store.setState({ selection: target })
  }

  return (
    <DndContext
      id="tray-to-stage"
      sensors={sensors}
      onDragMove={(event) => editor.store.setState({ dropTarget: under(event) })}
      onDragEnd={drop}
      onDragCancel={() => editor.store.setState({ dropTarget: undefined })}
    >
      <div className="grid h-full grid-cols-[196px_minmax(0,1fr)_300px] grid-rows-[minmax(0,1fr)_124px]">
        <aside className="min-h-0 border-r border-edge bg-panel">
          <SiteMap />
        </aside>
        <div className="min-h-0">
          <Stage />
        </div>
        <aside aria-label="Trace" className="min-h-0 overflow-y-auto border-l border-edge bg-panel">
          {trial ? <TrialPanel trial={trial} /> : <TracePanel />}
        </aside>
        <div className="col-span-3 grid min-w-0 grid-cols-[minmax(0,1fr)_340px] border-t border-edge bg-panel">
          <Tray />
          <div className="border-l border-edge">
            <WaysIn />
          </div>
        </div>
      </div>
    </DndContext>
  )
}
