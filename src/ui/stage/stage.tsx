'use client'

import {
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type PointerEvent,
  type ReactNode,
  type RefObject,
} from 'react'
import { useStore } from 'zustand'
import {
  deviceWidths,
  isSameThing,
  useEditor,
  useEditorState,
  useShownDocs,
  type Selection,
} from '../editor'
import { BeforePage } from './before-page'
import { hitTest, selectedNode } from './hit-test'
import { Outlines } from './outline-layer'
import { boxOf, selectionLabel } from './outlines'
import { closeStage, noteDrawing, openStage, stageStore } from './stage-access'
import { markPointed } from './stage-document'
import { StageFrame } from './stage-frame'
import { ThemeChips } from './theme-chips'
import { ledByKeys } from './led-by-keys'
import { stepTo, walkable } from './walk'
import { firstWords, wordsAt } from './words-at'

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

/** What is chosen elsewhere, on the map or in the library, comes into sight. */
function useInSight(frame: RefObject<HTMLDivElement | null>, scale: number): void {
  const selection = useEditorState((state) => state.selection)
  const drawing = useStore(stageStore, (state) => state.drawing)
  const key = selection && `${selection.doc}/${selection.section}/${selection.element ?? ''}`
  // Only what is newly chosen is brought into sight, not what moves as the page is changed.
  const seenKey = useRef<string>(undefined)
  useEffect(() => {
    const { stage } = stageStore.getState()
    // What was chosen elsewhere is there once its page is drawn.
    const node = stage && selection && selectedNode(stage.document, selection)
    if (!node || !frame.current || seenKey.current === key) return
    seenKey.current = key
    const { y, height: tall } = boxOf(node)
    const [top, seen] = [y * scale, frame.current.clientHeight]
    const { scrollTop } = frame.current
    const isInSight = top + tall * scale > scrollTop + 40 && top < scrollTop + seen - 80
    if (!isInSight) frame.current.scrollTo({ top: Math.max(0, top - seen / 4) })
  }, [frame, key, selection, drawing, scale])
  useEffect(() => {
    if (!key) seenKey.current = undefined
  }, [key])
}

/** Selections but for those of one thing. */
const without = (all: readonly Selection[], thing: Selection) =>
  all.filter((each) => !isSameThing(each, thing))

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
  const editor = useEditor()
  const device = useEditorState((state) => state.width)
  const { frame, available } = useAvailableWidth()
  const selection = useEditorState((state) => state.selection)
  const docs = useEditorState((state) => state.docs)
  const height = useStore(stageStore, (state) => state.height)
  const [hover, setHover] = useState<{ target: Element; label: string }>()
  const divider = useEditorState((state) => (state.trial ? state.divider : undefined))
  const isWriting = useEditorState((state) => !!state.words)
  const layer = useRef<HTMLDivElement>(null)
  const width = WIDTHS[device]
  const scale = Math.min(1, (available - MARGIN * 2) / width)
  useDrawing(width)

  useEffect(() => closeStage, [])
  // Whoever has written goes on walking the page.
  const wrote = useRef(false)
  useEffect(() => {
    if (wrote.current && !isWriting) layer.current?.focus({ preventScroll: true })
    wrote.current = isWriting
  }, [isWriting])

  const hit = (event: PointerEvent<HTMLDivElement>) => {
    const { stage } = stageStore.getState()
    const { docs } = editor.store.getState()
    if (!stage) return undefined
    const bounds = event.currentTarget.getBoundingClientRect()
    const [x, y] = [(event.clientX - bounds.left) / scale, (event.clientY - bounds.top) / scale]
    // What is painted is seen at rest, which is what is painted.
    const { brush } = editor.store.getState()
    markPointed(stage.document, brush ? null : stage.document.elementFromPoint(x, y))
    return hitTest(stage.document, docs, x, y)
  }
  const point = (event: PointerEvent<HTMLDivElement>) => {
    const found = hit(event)
    const { docs } = editor.store.getState()
    setHover(found && { target: found.target, label: selectionLabel(docs, found.selection) })
  }
  const write = (event: MouseEvent<HTMLDivElement>) => {
    const { stage } = stageStore.getState()
    if (!stage || isWriting) return
    const bounds = event.currentTarget.getBoundingClientRect()
    const [x, y] = [(event.clientX - bounds.left) / scale, (event.clientY - bounds.top) / scale]
    const words = wordsAt(stage.document, x, y)
    if (words) editor.show({ words })
  }
  const walk = (event: KeyboardEvent) => {
    if (ledByKeys(editor, event)) return event.preventDefault()
    if (onKey?.(event)) return event.preventDefault()
    const { docs, pageId, selection } = editor.store.getState()
    if (event.altKey || event.ctrlKey || event.metaKey) return
    if (event.key === 'Enter' && selection) {
      const { stage } = stageStore.getState()
      const words = stage && firstWords(stage.document, selection)
      if (words) editor.show({ words })
      if (words) event.preventDefault()
      return
    }
    const next = stepTo(walkable(docs, pageId), selection, event.key)
    if (!next) return
    event.preventDefault()
    const { also = [] } = editor.store.getState()
    const isMore = event.shiftKey && selection?.element && next.element
    editor.show({
      selection: next,
      ...(isMore ? { also: without([...also, selection], next) } : {}),
    })
  }
  const choose = (event: PointerEvent<HTMLDivElement>) => {
    const { selection, also = [] } = editor.store.getState()
    const found = hit(event)?.selection
    const isMore = event.shiftKey && found?.element && selection?.element
    if (!isMore) return editor.show({ selection: found, also: undefined })
    // The one that was chosen last is what the panel tells of; once more leaves it out again.
    const others = without([selection, ...also], found)
    const isChosen = others.length < also.length + 1
    const [first, ...rest] = isChosen ? others : [found, ...others]
    editor.show({ selection: first ?? found, also: rest })
  }
  useInSight(frame, scale)
  const leave = () => {
    setHover(undefined)
    const { stage } = stageStore.getState()
    if (stage) markPointed(stage.document, null)
  }

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
        <div
          ref={layer}
          className={`absolute inset-0 cursor-crosshair -outline-offset-2 select-none ${isWriting ? 'pointer-events-none' : ''}`}
          data-testid="stage"
          role="group"
          tabIndex={0}
          aria-label="The page. Arrow keys walk what is on it: down and up to the next thing, right and left to the next section, Enter writes its words"
          onKeyDown={walk}
          onBlur={() => {
            const isLed = editor.store.getState().brush?.byKeys
            if (isLed) editor.show({ brush: undefined, dropTarget: undefined })
          }}
          data-stage-scale={scale}
          onPointerMove={point}
          onPointerLeave={leave}
          onDoubleClick={write}
          onClick={(event) => choose(event as unknown as PointerEvent<HTMLDivElement>)}
        >
          <Outlines scale={scale} hover={hover} />
          <p className="sr-only" aria-live="polite">
            {selection && selectionLabel(docs, selection)}
          </p>
        </div>
        {children?.(scale)}
        {divider === undefined && <ThemeChips scale={scale} />}
      </div>
    </div>
  )
}
