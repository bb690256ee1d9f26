'use client'

import { useCallback, useEffect, useRef, type RefObject } from 'react'
import { useStore } from 'zustand'
import { useEditorState, type Selection } from '../editor'
import { selectedNode } from './hit-test'
import { boxOf } from './outlines'
import { stageStore } from './stage-access'

const keyOf = ({ doc, section, element }: Selection) => `${doc}/${section}/${element ?? ''}`

/**
 * What is chosen elsewhere, on the map or in the library, comes into sight. What is answered is to
 * be told of what is chosen where one points: that is in sight, and nothing is measured for it.
 */
export function useInSight(
  frame: RefObject<HTMLDivElement | null>,
  scale: number,
): (pointed: Selection | undefined) => void {
  const selection = useEditorState((state) => state.selection)
  const drawing = useStore(stageStore, (state) => state.drawing)
  const key = selection && keyOf(selection)
  // Only what is newly chosen is brought into sight, not what moves as the page is changed.
  const seenKey = useRef<string>(undefined)
  useEffect(() => {
    if (seenKey.current === key) return
    const { stage } = stageStore.getState()
    // What was chosen elsewhere is there once its page is drawn.
    const node = stage && selection && selectedNode(stage.document, selection)
    if (!node || !frame.current) return
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
  return useCallback((pointed) => {
    seenKey.current = pointed && keyOf(pointed)
  }, [])
}
