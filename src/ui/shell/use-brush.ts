'use client'

import { useEffect } from 'react'
import { useEditor, useEditorState } from '../editor'
import { paintingNow, previewEdit, shaded, turned } from '../stage'

/** Pixels from the edges of the stage within which it scrolls, and how far at a time; whoever comes in over an edge does not rest there, in milliseconds. */
const [EDGE, FAR, RESTS] = [48, 12, 300]

/** While a slot is over the stage: it shows what it would paint; the wheel takes a shade, the space bar another colour of the thing. */
export function useBrush(): void {
  const editor = useEditor()
  const brush = useEditorState((state) => state.brush)
  const target = useEditorState((state) => state.dropTarget)
  const held = brush !== undefined && !brush.byKeys
  useEffect(() => {
    if (!brush || !target) return undefined
    previewEdit(paintingNow(editor.store.getState())?.edit)
    return () => previewEdit(undefined)
  }, [editor, brush, target])
  useEffect(() => {
    if (!held) return undefined
    const onWheel = (event: WheelEvent) => {
      const { brush: now, dropTarget, docs } = editor.store.getState()
      if (!now || !dropTarget || event.deltaY === 0) return
      event.preventDefault()
      const { step } = docs.frame.palette.shades
      editor.show({ brush: shaded(now, event.deltaY < 0 ? 1 : -1, step) })
    }
    const onKeyDown = (event: KeyboardEvent) => {
      const { brush: now } = editor.store.getState()
      if (event.key !== ' ' || !now) return
      event.preventDefault()
      editor.show({ brush: turned(now) })
    }
    window.addEventListener('wheel', onWheel, { passive: false })
    window.addEventListener('keydown', onKeyDown, true)
    return () => {
      window.removeEventListener('wheel', onWheel)
      window.removeEventListener('keydown', onKeyDown, true)
    }
  }, [editor, held])
  useEdgeScroll(held)
}

/** Scrolls the stage while a slot rests near its upper or lower edge. */
function useEdgeScroll(held: boolean): void {
  const editor = useEditor()
  useEffect(() => {
    if (!held) return undefined
    let [y, running, since] = [0, true, Infinity]
    const onMove = (event: PointerEvent) => (y = event.clientY)
    const scroll = () => {
      const stage = document.querySelector('[data-testid=stage-scroll]')
      const box = stage?.getBoundingClientRect()
      if (stage && box && editor.store.getState().dropTarget) {
        const by = y < box.top + EDGE ? -FAR : y > box.bottom - EDGE ? FAR : 0
        since = by === 0 ? Infinity : Math.min(since, performance.now())
        if (performance.now() - since > RESTS) stage.scrollBy(0, by)
      }
      if (running) requestAnimationFrame(scroll)
    }
    requestAnimationFrame(scroll)
    window.addEventListener('pointermove', onMove)
    return () => {
      running = false
      window.removeEventListener('pointermove', onMove)
    }
  }, [editor, held])
}
