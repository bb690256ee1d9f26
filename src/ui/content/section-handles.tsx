'use client'

import { useDraggable, useDroppable } from '@dnd-kit/core'
import { GripVertical, Plus } from 'lucide-react'
import { memo, useMemo } from 'react'
import { useStore } from 'zustand'
import type { SectionId } from '@/core/site'
import { useEditor, useSpots } from '../editor'
import { boxOf, selectedNode, stageStore, type Box } from '../stage'

/** Beside the page, left of each of its sections: a grip to move it, and between two a way to add one. */
export const SectionHandles = memo(function SectionHandles({ scale }: { readonly scale: number }) {
  const editor = useEditor()
  const spots = useSpots()
  const stage = useStore(stageStore, (state) => state.stage)
  const drawing = useStore(stageStore, (state) => state.drawing)
  const bands = useMemo(
    () =>
      spots.flatMap(({ doc, section }) => {
        if (section.kind !== 'band' || !stage) return []
        const node = selectedNode(stage.document, { doc, section: section.id })
        return node ? [{ id: section.id, name: section.name, box: boxOf(node), drawing }] : []
      }),
    [spots, stage, drawing],
  )
  const last = bands.at(-1)
  const first = spots.find(({ section }) => section.kind === 'footer')
  const footer =
    first && stage
      ? selectedNode(stage.document, { doc: first.doc, section: first.section.id })
      : null
  const end = last ? last.box.y + last.box.height : footer ? boxOf(footer).y : 0
  return (
    <>
      {bands.map((band) => (
        <Handle key={band.id} {...band} scale={scale} />
      ))}
      {[
        ...bands.map(({ id, name, box }) => ({ id, name, y: box.y })),
        { id: undefined, name: '', y: end },
      ].map(({ id, name, y }) => (
        <button
          key={id ?? 'end'}
          type="button"
          aria-label={id ? `Add a section before ${name}` : 'Add a section at the end'}
          title={id ? `Add a section before ${name}` : 'Add a section at the end'}
          onClick={() => editor.show({ adding: id ? { before: id } : {} })}
          className="absolute right-full z-10 mr-0.5 grid size-4 -translate-y-1/2 place-items-center rounded-full border border-edge-strong bg-raised text-soft hover:bg-strong hover:text-on-strong focus-visible:bg-strong focus-visible:text-on-strong"
          style={{ top: y * scale }}
        >
          <Plus size={11} />
        </button>
      ))}
    </>
  )
})

interface HandleProps {
  readonly id: SectionId
  readonly name: string
  readonly box: Box
  readonly scale: number
}

function Handle({ id, name, box, scale }: HandleProps) {
  const { listeners, setNodeRef, isDragging } = useDraggable({ id: `section:${id}:stage` })
  const { setNodeRef: setPlaceRef, isOver, active } = useDroppable({ id: `band:${id}:stage` })
  const isTarget = isOver && String(active?.id).startsWith('section:')
  return (
    <>
      <div
        ref={setPlaceRef}
        aria-hidden
        className={`pointer-events-none absolute inset-x-0 ${isTarget ? 'shadow-[inset_0_4px_0_0_#000,inset_0_7px_0_0_#fff]' : ''} ${isDragging ? 'bg-white/60' : ''}`}
        style={{ top: box.y * scale, height: box.height * scale }}
      />
      <button
        type="button"
        tabIndex={-1}
        {...listeners}
        ref={setNodeRef}
        aria-label={`Move ${name}`}
        title={`Drag ${name} to another place`}
        className="absolute right-full z-10 mr-0.5 grid h-6 w-4 cursor-grab place-items-center rounded text-soft hover:bg-hover active:cursor-grabbing"
        style={{ top: box.y * scale + 12 }}
      >
        <GripVertical size={13} />
      </button>
    </>
  )
}
