'use client'

import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react'
import { useStore } from 'zustand'
import { deviceWidths, useEditorState, useShownDocs } from '../editor'
import { BeforePage } from './before-page'
import { closeStage, noteDrawing, openStage, stageStore } from './stage-access'
import { StageFrame } from './stage-frame'
import { StageLayer } from './stage-layer'
import { ThemeChips } from './theme-chips'
import { useInSight } from './use-in-sight'

/** Widths in CSS pixels of the page; a wider page than there is room for is drawn smaller. */
const WIDTHS = deviceWidths
const MARGIN = 20

function useAvailableWidth() {
  const frame = useRef<HTMLDivElement>(null)
  const [available, setAvailable] = useState(800)
  useEffect(() => {
    if (!frame.current) return undefined
    const observer = new ResizeObserver(([entry]) => setAvailable(entry!.contentRect.width))
    observer.observe(frame.current)
    return () => observer.disconnect()
  }, [])
  return { frame, available }
}

/** Draws the page into the stage after each change of it. */
function useDrawing(width: number): void {
  const stage = useStore(stageStore, (state) => state.stage)
  const docs = useShownDocs()
  const pageId = useEditorState((state) => state.pageId)
  const siteId = useEditorState((state) => state.siteId)
  useEffect(() => {
    if (!stage) return undefined
    stage.writer.write(siteId, docs, pageId)
    noteDrawing()
    const observer = new ResizeObserver(noteDrawing)
    observer.observe(stage.document.body)
    return () => observer.disconnect()
  }, [stage, siteId, docs, pageId, width])
}

interface StageProps {
  /** Takes a key that is meant for what is chosen; true where it was. */
  readonly onKey?: (event: KeyboardEvent) => boolean
  /** What lies over the page at a scale. */
  readonly children?: (scale: number) => ReactNode
}

/** The live page. Nothing in it runs; the editor draws it, points at it, and listens above it. */
export function Stage({ onKey, children }: StageProps) {
  const device = useEditorState((state) => state.width)
  const { frame, available } = useAvailableWidth()
  const height = useStore(stageStore, (state) => state.height)
  const divider = useEditorState((state) => (state.trial ? state.divider : undefined))
  const isWriting = useEditorState((state) => !!state.words)
  const width = WIDTHS[device]
  const scale = Math.min(1, (available - MARGIN * 2) / width)
  useDrawing(width)
  const notePointed = useInSight(frame, scale)
  useEffect(() => closeStage, [])
  return (
    <div
      ref={frame}
      className="h-full overflow-x-hidden overflow-y-scroll bg-well"
      data-testid="stage-scroll"
    >
      <div
        className="relative mx-auto my-4 bg-white shadow-[0_0_0_1px_rgb(0_0_0/0.18)]"
        style={{ width: width * scale, height: height * scale }}
      >
        <StageFrame
          title="The page, live"
          onOpen={openStage}
          className={`origin-top-left ${isWriting ? '' : 'pointer-events-none'}`}
          style={{ width, height, transform: `scale(${scale})` }}
        />
        {divider !== undefined && (
          <BeforePage width={width} height={height} scale={scale} divider={divider} />
        )}
        <StageLayer scale={scale} onKey={onKey} onPoint={notePointed} />
        {children?.(scale)}
        {divider === undefined && <ThemeChips scale={scale} />}
      </div>
    </div>
  )
}
