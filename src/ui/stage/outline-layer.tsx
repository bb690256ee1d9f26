'use client'

import { useMemo } from 'react'
import { useStore } from 'zustand'
import { writeDecision } from '@/core/edit'
import { useEditorState, type Selection } from '../editor'
import { brushDecision, paintingNow } from './brush'
import { selectedNode } from './hit-test'
import { boxesOfSlot, boxOf, selectionLabel, type Box } from './outlines'
import { stageStore } from './stage-access'

interface OutlinesProps {
  readonly scale: number
  /** What is pointed at; it is measured anew when the page is drawn anew. */
  readonly hover?: { readonly target: Element; readonly label: string }
}

const NONE: readonly Selection[] = []

/** What is pointed at, what is chosen, where a slot would land, and all that a slot colours. */
export function Outlines({ scale, hover }: OutlinesProps) {
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const selection = useEditorState((state) => state.selection)
  const also = useEditorState((state) => state.also) ?? NONE
  const dropTarget = useEditorState((state) => state.dropTarget)
  const brush = useEditorState((state) => state.brush)
  const shownSlot = useEditorState((state) => state.shownSlot)
  const stage = useStore(stageStore, (state) => state.stage)
  const drawing = useStore(stageStore, (state) => state.drawing)

  const work = useMemo(
    () => paintingNow({ docs, brush, dropTarget, selection, also }),
    [docs, brush, dropTarget, selection, also],
  )
  const told =
    brush && work
      ? `${selectionLabel(docs, work.targets[0])}: ${writeDecision(docs.frame.palette, brushDecision(brush))}${work.targets.length > 1 ? `, ${work.targets.length} things` : ''} · ${brush.byKeys ? '+ −' : 'wheel'}: shade · Space: other colour`
      : 'Nothing to paint here'

  const marks = useMemo(() => {
    const box = (target: Selection | undefined) => {
      const node = stage && target && selectedNode(stage.document, target)
      return node ? boxOf(node) : undefined
    }
    return {
      // The count tells when the boxes have to be measured anew.
      drawing,
      pointed: hover?.target.isConnected ? boxOf(hover.target) : undefined,
      selected: box(selection),
      also: also.flatMap((each) => box(each) ?? []),
      drop: box(dropTarget),
      along: (work?.targets.slice(1) ?? []).flatMap((each) => box(each) ?? []),
      slot: stage && shownSlot ? boxesOfSlot(stage, docs, pageId, shownSlot) : [],
    }
  }, [stage, drawing, hover, selection, also, dropTarget, shownSlot, docs, pageId, work])

  const place = ({ x, y, width, height }: Box) => ({
    left: x * scale,
    top: y * scale,
    width: width * scale,
    height: height * scale,
  })

  return (
    <>
      {marks.slot.map((box, i) => (
        <Outline key={i} box={place(box)} look="slot" />
      ))}
      {marks.also.map((box, i) => (
        <Outline key={i} box={place(box)} look="also" />
      ))}
      {marks.selected && <Outline box={place(marks.selected)} look="selected" />}
      {marks.pointed && !dropTarget && (
        <Outline box={place(marks.pointed)} look="hover" label={hover?.label} />
      )}
      {marks.drop && dropTarget && <Outline box={place(marks.drop)} look="selected" label={told} />}
      {marks.along.map((box, i) => (
        <Outline key={i} box={place(box)} look="also" />
      ))}
    </>
  )
}

/** Black on a white edge, so that it shows on every ground. */
const OUTLINE = {
  slot: 'outline-2 outline-dashed outline-black ring-2 ring-white/80',
  hover: 'outline-1 outline-black ring-1 ring-white',
  selected: 'outline-2 outline-offset-2 outline-black ring-4 ring-white/90',
  also: 'outline-2 outline-offset-2 outline-double outline-black ring-4 ring-white/90',
} as const

interface OutlineProps {
  readonly box: { readonly top: number }
  readonly look: keyof typeof OUTLINE
  readonly label?: string
}

function Outline({ box, look, label }: OutlineProps) {
  const side = box.top < 24 ? 'top-full mt-1' : 'bottom-full mb-1'
  return (
    <div
      data-outline={look}
      className={`pointer-events-none absolute ${OUTLINE[look]}`}
      style={box}
    >
      {label && (
        <span
          className={`absolute left-0 rounded-sm bg-black px-1.5 py-0.5 text-[11px] font-semibold whitespace-nowrap text-white ${side}`}
        >
          {label}
        </span>
      )}
    </div>
  )
}
