'use client'

import { useEffect } from 'react'
import { useStore } from 'zustand'
import { useEditor, useEditorState } from '../editor'
import { slotPainter, stageStore, unpaintSlot } from '../stage'
import { outlookOf } from './outlook'
import { trialValues } from './trial'

/** How long a trial must rest before what it would lead to is worked out, in milliseconds. */
const REST = 120

/** Shows the trial where the page is shown: at once by the slots' custom properties alone, and whole, themes and map with it, once it rests. Nothing is stored. */
export function useTrialPreview(): void {
  const editor = useEditor()
  const trial = useEditorState((state) => state.trial)
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const stage = useStore(stageStore, (state) => state.stage)
  useEffect(() => {
    if (!trial) return undefined
    const later = setTimeout(() => editor.show({ outlook: outlookOf(docs.frame, trial) }), REST)
    return () => clearTimeout(later)
  }, [editor, trial, docs])
  useEffect(() => {
    if (!trial || !stage) return undefined
    const values = trialValues(docs.frame.palette, trial)
    // A task of its own: the panel's drawing and the page's restyling together would be a long one.
    const later = setTimeout(() => {
      const paint = slotPainter(stage.document, docs, pageId)
      for (const { slot, value } of values) paint(slot, value)
    })
    return () => {
      clearTimeout(later)
      for (const { slot } of values) unpaintSlot(stage.document, slot)
    }
  }, [trial, docs, pageId, stage])
  const hasTrial = trial !== undefined
  useEffect(() => {
    const clear = () => editor.show({ outlook: undefined })
    if (!hasTrial) clear()
    return clear
  }, [editor, hasTrial])
}
