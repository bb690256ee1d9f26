'use client'

import {
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type PointerEvent,
} from 'react'
import { useEditor, useEditorState, type Selection } from '../editor'
import { addOnAt, hitTest } from './hit-test'
import { ledByKeys } from './led-by-keys'
import { Outlines } from './outline-layer'
import { selectionLabel } from './outlines'
import { stageStore } from './stage-access'
import { markPointed } from './stage-document'
import { useAddOns } from './use-add-ons'
import { walkByKeys, without } from './walk-keys'
import { wordsAt } from './words-at'

interface StageLayerProps {
  readonly scale: number
  /** Takes a key that is meant for what is chosen; true where it was. */
  readonly onKey?: (event: KeyboardEvent) => boolean
  /** Told of what is chosen by pointing at it, before it is. */
  readonly onPoint: (pointed: Selection | undefined) => void
}

/** Whoever has written goes on walking the page: it has the focus again. */
function useWriterBack(isWriting: boolean) {
  const layer = useRef<HTMLDivElement>(null)
  const wrote = useRef(false)
  useEffect(() => {
    if (wrote.current && !isWriting) layer.current?.focus({ preventScroll: true })
    wrote.current = isWriting
  }, [isWriting])
  return layer
}

/** What is chosen, for those who do not see its outline. */
function Announced() {
  const docs = useEditorState((state) => state.docs)
  const selection = useEditorState((state) => state.selection)
  return (
    <p className="sr-only" aria-live="polite">
      {selection && selectionLabel(docs, selection)}
    </p>
  )
}

/** What lies over the page and listens: what is pointed at, chosen, walked to. */
export function StageLayer({ scale, onKey, onPoint }: StageLayerProps) {
  const editor = useEditor()
  const [hover, setHover] = useState<{ target: Element; label: string }>()
  const addOns = useAddOns()
  const isWriting = useEditorState((state) => !!state.words)
  const layer = useWriterBack(isWriting)

  /** Where an event is on the page, in CSS pixels of that. */
  const placeOf = (event: MouseEvent<HTMLElement>) => {
    const bounds = event.currentTarget.getBoundingClientRect()
    return [(event.clientX - bounds.left) / scale, (event.clientY - bounds.top) / scale] as const
  }
  const hit = (event: MouseEvent<HTMLElement>) => {
    const { stage } = stageStore.getState()
    const { docs, brush } = editor.store.getState()
    if (!stage) return undefined
    const [x, y] = placeOf(event)
    // What is painted is seen at rest, which is what is painted.
    markPointed(stage.document, brush ? null : stage.document.elementFromPoint(x, y))
    return hitTest(stage.document, docs, x, y)
  }
  const addOnUnder = (event: MouseEvent<HTMLElement>) => {
    const { stage } = stageStore.getState()
    return stage && addOnAt(stage.document, ...placeOf(event))
  }
  const point = (event: PointerEvent<HTMLElement>) => {
    const found = hit(event)
    const { docs } = editor.store.getState()
    if (found) {
      return setHover({ target: found.target, label: selectionLabel(docs, found.selection) })
    }
    const addOn = addOnUnder(event)
    setHover(addOn && { target: addOn.target, label: addOns.label(addOn.id) })
  }
  const leave = () => {
    setHover(undefined)
    const { stage } = stageStore.getState()
    if (stage) markPointed(stage.document, null)
  }
  const write = (event: MouseEvent<HTMLElement>) => {
    const { stage } = stageStore.getState()
    if (!stage || isWriting) return
    const words = wordsAt(stage.document, ...placeOf(event))
    if (words) editor.show({ words })
  }
  const choose = (event: MouseEvent<HTMLElement>) => {
    const { selection, also = [] } = editor.store.getState()
    const found = hit(event)?.selection
    onPoint(found)
    const addOn = found ? undefined : addOnUnder(event)
    if (addOn) addOns.tell(addOn.id)
    const isMore = event.shiftKey && found?.element && selection?.element
    if (!isMore) return editor.show({ selection: found, also: undefined })
    // The one that was chosen last is what the panel tells of; once more leaves it out again.
    const others = without([selection, ...also], found)
    const isChosen = others.length < also.length + 1
    const [first, ...rest] = isChosen ? others : [found, ...others]
    editor.show({ selection: first ?? found, also: rest })
  }
  return (
    <div
      ref={layer}
      className={`absolute inset-0 cursor-crosshair -outline-offset-2 select-none ${isWriting ? 'pointer-events-none' : ''}`}
      data-testid="stage"
      role="group"
      tabIndex={0}
      aria-label="The page. Arrow keys walk what is on it: down and up to the next thing, right and left to the next section, Enter writes its words"
      onKeyDown={(event) => {
        // A slot in hand is led first; then what is chosen is dealt with; then one walks.
        const isTaken = ledByKeys(editor, event) || onKey?.(event) || walkByKeys(editor, event)
        if (isTaken) event.preventDefault()
      }}
      onBlur={() => {
        const isLed = editor.store.getState().brush?.byKeys
        if (isLed) editor.show({ brush: undefined, dropTarget: undefined })
      }}
      data-stage-scale={scale}
      onPointerMove={point}
      onPointerLeave={leave}
      onDoubleClick={write}
      onClick={choose}
    >
      <Outlines scale={scale} hover={hover} />
      <Announced />
    </div>
  )
}
