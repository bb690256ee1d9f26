'use client'

import { useEffect, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { useEditor, useEditorState } from '../editor'
import { createStageWriter, type StageWriter } from './stage-document'
import { StageFrame } from './stage-frame'

interface BeforePageProps {
  readonly width: number
  readonly height: number
  readonly scale: number
  /** Where the page before ends and the page after begins, 0…1. */
  readonly divider: number
}

/** The page as it is, laid over the page as it would be, up to a divider that can be moved. */
export function BeforePage({ width, height, scale, divider }: BeforePageProps) {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const siteId = useEditorState((state) => state.siteId)
  const [writer, setWriter] = useState<StageWriter>()

  useEffect(() => {
    writer?.write(siteId, docs, pageId)
  }, [writer, siteId, docs, pageId])
  const set = (next: number) => editor.show({ divider: Math.min(1, Math.max(0, next)) })
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (!(event.buttons & 1)) return
    const bounds = event.currentTarget.parentElement!.getBoundingClientRect()
    set((event.clientX - bounds.left) / bounds.width)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -0.02, ArrowRight: 0.02 }[event.key]
    if (!by) return
    event.preventDefault()
    set(divider + by)
  }
  const percent = Math.round(divider * 100)
  return (
    <>
      <StageFrame
        title="The page before"
        onOpen={(stage) => setWriter(createStageWriter(stage))}
        className="pointer-events-none absolute top-0 left-0 origin-top-left bg-white"
        style={{
          width,
          height,
          transform: `scale(${scale})`,
          clipPath: `inset(0 ${100 - divider * 100}% 0 0)`,
        }}
      />
      <div
        role="slider"
        tabIndex={0}
        aria-label="Divider between before and after"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={percent}
        aria-valuetext={`before up to ${percent} per cent of the width`}
        onPointerDown={(event) => {
          event.stopPropagation()
          event.currentTarget.setPointerCapture(event.pointerId)
        }}
        onPointerMove={(event) => {
          event.stopPropagation()
          drag(event)
        }}
        onClick={(event) => event.stopPropagation()}
        onKeyDown={onKeyDown}
        className="absolute inset-y-0 z-20 w-6 -translate-x-1/2 cursor-ew-resize touch-none"
        style={{ left: `${divider * 100}%` }}
      >
        <span
          aria-hidden
          className="absolute inset-y-0 left-1/2 w-0.5 -translate-x-1/2 bg-black ring-1 ring-white"
        />
        <span
          aria-hidden
          className="sticky top-4 flex w-0 justify-center text-[11px] font-semibold whitespace-nowrap"
        >
          <span className="absolute right-1 mr-2 rounded-sm bg-black px-1.5 py-0.5 text-white">
            before
          </span>
          <span className="absolute left-6 rounded-sm bg-black px-1.5 py-0.5 text-white">
            after
          </span>
        </span>
      </div>
    </>
  )
}
